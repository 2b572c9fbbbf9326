namespace Wendrak.Store.Tests;

public sealed class SinceCommitTests : IDisposable
{
    private readonly TempStore _store = new();
    private int _made;

    public void Dispose() => _store.Dispose();

    private Task<string?> MakeAsync()
    {
        _made++;
        return Task.FromResult<string?>("made");
    }

    [Fact]
    public async Task What_was_made_is_made_again_only_after_something_was_written()
    {
        SinceCommit<long, string> kept = new(_store.Database, 2);
        await kept.FindAsync(1, MakeAsync);
        await kept.FindAsync(1, MakeAsync);
        Assert.Equal(1, _made);
        await _store.AddMachineAsync();
        await kept.FindAsync(1, MakeAsync);
        Assert.Equal(2, _made);
    }

    [Fact]
    public async Task What_is_not_there_is_looked_for_again()
    {
        SinceCommit<long, string> kept = new(_store.Database, 2);
        Assert.Null(await kept.FindAsync(1, () => Task.FromResult<string?>(null)));
        Assert.Equal("made", await kept.FindAsync(1, MakeAsync));
    }

    [Fact]
    public async Task No_more_are_kept_than_there_is_room_for()
    {
        SinceCommit<long, string> kept = new(_store.Database, 1);
        await kept.FindAsync(1, MakeAsync);
        await kept.FindAsync(2, MakeAsync);
        await kept.FindAsync(2, MakeAsync);
        await kept.FindAsync(1, MakeAsync);
        Assert.Equal(3, _made);
    }

    [Fact]
    public async Task What_was_begun_before_something_was_written_is_not_taken_for_what_is_there_since()
    {
        SinceCommit<long, string> kept = new(_store.Database, 2);
        await kept.FindAsync(
            1,
            async () =>
            {
                await _store.AddMachineAsync();
                return "before";
            }
        );
        Assert.Equal("made", await kept.FindAsync(1, MakeAsync));
    }
}
