namespace Wendrak.Store;

public static class Clock
{
    /// <summary>The day it is where the workshop stands.</summary>
    public static DateOnly Today(this TimeProvider clock) => DateOnly.FromDateTime(clock.GetLocalNow().DateTime);
}
