using Wendrak.Core.Gearing;
using Wendrak.Core.Procedures;
using Wendrak.Core.Records;

namespace Wendrak.Core.Evaluation;

/// <summary>What a change of wheels really took, beside what Ratio counts for it.</summary>
/// <param name="Minutes">As they were written down at the job, of everybody, min.</param>
/// <param name="CountedMinutes">As Ratio counts them now, min.</param>
/// <param name="Work">Of the machine, with those that were taken.</param>
public sealed record WorkTaken(double Minutes, double CountedMinutes, WorkCosts Work)
{
    /// <returns>Null where nobody wrote minutes down, and for a change that Ratio does not count.</returns>
    internal static WorkTaken? From(ChangeKind change, double minutes, Machine machine, Loop loop)
    {
        WorkCosts now = machine.Work ?? WorkCosts.DefaultFor(loop);
        return minutes <= 0
            ? null
            : change switch
            {
                ChangeKind.FrontWheel => new(minutes, now.FrontMinutes, now with { FrontMinutes = minutes }),
                ChangeKind.RearWheel => new(minutes, now.RearMinutes, now with { RearMinutes = minutes }),
                ChangeKind.BothWheels or ChangeKind.WholeSet => new(
                    minutes,
                    now.BothMinutes,
                    now with
                    {
                        BothMinutes = minutes,
                    }
                ),
                _ => null,
            };
    }
}
