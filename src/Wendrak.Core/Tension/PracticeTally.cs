using Wendrak.Core.Vocabulary;

namespace Wendrak.Core.Tension;

/// <summary>How somebody fared with one simulated drive.</summary>
/// <param name="Rounds">In which something was turned; as found and the last torque are not counted.</param>
/// <param name="IsInside">True when the drive, as it really stands, is right in what was asked: tension, gap, or both.</param>
/// <param name="IsTorqued">True when it was read last with its nut at torque: only that is how it will run.</param>
/// <param name="TurnedUnits">All that was turned on the way, either side and either way.</param>
/// <param name="OverByUnits">How far the tightest place ever went past the window, in units of the adjuster; 0 when it never did.</param>
public sealed record PracticeTally(int Rounds, bool IsInside, bool IsTorqued, double TurnedUnits, double OverByUnits)
{
    /// <summary>Whether it may be left so.</summary>
    public bool IsRight => IsInside && IsTorqued;
}

/// <summary>Counts a visit to a simulated drive, round by round.</summary>
internal sealed class PracticeCount(PracticeBench bench)
{
    private readonly List<SetRound> _rounds = [];
    private bool _wasOver;
    private int _turned;

    public IReadOnlyList<SetRound> Rounds => _rounds;
    public double OverByUnits { get; private set; }

    /// <returns>Whether it went past the window by this round further than ever before.</returns>
    public bool Add(SetRound round)
    {
        _rounds.Add(round);
        double past = bench.OverByUnits(_rounds);
        if (_rounds.Count == 1)
        {
            _wasOver = past > 0;
            return false;
        }
        _turned += round is { LeftUnits: 0, RightUnits: 0 } ? 0 : 1;
        _wasOver &= past > 0;
        // What was found too tight is no overshoot until it was inside once.
        if (_wasOver || past <= OverByUnits || round.LeftUnits + round.RightUnits <= 0)
            return false;
        OverByUnits = past;
        return true;
    }

    public bool IsInside => bench.Stands(_rounds, 0, 0, PracticeBench.Reading);

    public PracticeTally Tally =>
        new(
            _turned,
            IsInside,
            _rounds[^1].Lock == LockState.Torqued,
            _rounds.Sum(r => Math.Abs(r.LeftUnits) + Math.Abs(r.RightUnits)),
            OverByUnits
        );
}
