using Wendrak.Core.Quantities;
using Wendrak.Core.Vocabulary;

namespace Wendrak.Core.Tension;

/// <summary>A simulated drive to learn on: its stiffness, run-out, skew and nut shift are hidden.</summary>
/// <param name="Seed">Tells one practice drive from another.</param>
/// <param name="Loop">What it looks like from outside; its rounds are those made so far, readings not needed.</param>
/// <param name="Lock">Of the nut, now.</param>
public sealed record PracticeInput(int Seed, SetInput Loop, LockState Lock);

/// <summary>What the simulated drive reads.</summary>
/// <param name="Readings">At four positions of the wheel, as a person would read them.</param>
/// <param name="GapMm">Null where none is read.</param>
public sealed record PracticeReading(IReadOnlyList<Reading> Readings, double? GapMm);

/// <summary>What a simulated drive is read by.</summary>
public enum PracticeInstrument
{
    /// <summary>A chain by its free play, a belt by its sound.</summary>
    Usual,

    /// <summary>A push of a belt with a given force.</summary>
    Push,

    /// <summary>A gauge in its own scale, which nobody tied to anything.</summary>
    Gauge,

    /// <summary>A hand: loose, about right, tight.</summary>
    Feel,
}

/// <summary>Answers adjusters as a real drive does. Invented, from the physics of <see cref="SpanVibration"/> and a person's noise.</summary>
public static class PracticeDrive
{
    private const int Positions = 4;

    /// <exception cref="InvalidInputException">The loop has no window to practise for, or is refused.</exception>
    public static PracticeReading Read(PracticeInput input)
    {
        (HiddenDrive hidden, _, _) = Behind(input.Seed, input.Loop);
        return hidden.Read(input.Loop.Rounds, input.Lock);
    }

    /// <summary>The drive that answers for a loop, with the scale and the window it is judged in.</summary>
    internal static (HiddenDrive Hidden, TightnessScale Scale, TensionWindow Window) Behind(int seed, SetInput loop)
    {
        if (loop.Setting.Adjuster.IsOfSheave)
            throw new InvalidInputException(
                "Loop.Setting.Adjuster.Kind",
                "unsuited",
                "Shims of a sheave have no simulated drive: practise on another loop."
            );
        TightnessScale scale = Refusal.Under(
            nameof(PracticeInput.Loop),
            () =>
            {
                SpanFacts facts = SpanFinder.Find(loop);
                return new TightnessScale(loop.Loop.DriveElement == DriveElement.Chain, facts);
            }
        );
        TensionWindow window =
            WindowFinder.Find(loop, scale).Window
            ?? throw new InvalidInputException(
                "Loop.Setting.MakerLow",
                "missing",
                "Give a window: by the maker, or a layout and what pulls."
            );
        return (new(seed, loop.Setting, scale, window), scale, window);
    }

    /// <summary>What the person cannot see.</summary>
    internal sealed class HiddenDrive
    {
        private readonly LoopSetting _setting;
        private readonly AdjusterTravel _travel;
        private readonly TightnessScale _scale;
        private readonly int _seed;
        private readonly double _start;
        private readonly double _slope;
        private readonly double _runOut;
        private readonly double _phase;
        private readonly double _nut;
        private readonly double _gapStart;
        private readonly double _gapSlope;
        private readonly double _gapNut;
        private readonly TensionWindow _window;
        private readonly PracticeInstrument _instrument;

        /// <param name="instrument">What it is read by; <paramref name="scale"/> is that of the instrument, of a hand the loop's.</param>
        public HiddenDrive(
            int seed,
            LoopSetting setting,
            TightnessScale scale,
            TensionWindow window,
            PracticeInstrument instrument = PracticeInstrument.Usual
        )
        {
            (_seed, _setting, _scale) = (seed, setting, scale);
            (_window, _instrument) = (window, instrument);
            _travel = new(setting);
            SeededValues values = new(seed);
            double width = window.High - window.Low;
            double middle = (window.Low + window.High) / 2;
            bool isChain = scale.Unit == TightnessUnit.LoopMm;
            (double slope, _, _) = ExpectedAnswer.OfTension(scale, setting, middle);
            _slope = slope * Math.Exp(values.Normal(isChain ? 0.05 : 0.3));
            // Of a gauge nothing is known: a turn may be a tenth of its window or three of them.
            if (scale.Unit == TightnessUnit.Gauge)
                _slope = width / setting.Adjuster.TravelMm * Math.Exp(Math.Log(0.1) + values.Next() * Math.Log(30));
            _runOut = width * (0.05 + 0.2 * values.Next());
            _phase = 2 * Math.PI * values.Next();
            _nut = values.Normal(isChain ? 0.1 * width : 0.02 * middle);
            // Mostly found too loose, sometimes too tight, as delivered.
            _start =
                values.Next() < 0.75
                    ? window.Low - (0.3 + 1.2 * values.Next()) * (isChain ? width : 0.3 * middle)
                    : window.High + (0.2 + 0.8 * values.Next()) * (isChain ? width / 2 : 0.25 * middle);
            (double gap, _) = ExpectedAnswer.OfGap(setting);
            _gapSlope = gap * Math.Exp(values.Normal(0.25));
            _gapStart = setting.GapLow + (setting.GapHigh - setting.GapLow) * (values.Next() * 3 - 0.6);
            _gapNut = values.Normal(0.12);
        }

        /// <summary>Tightest place, without a person's noise: what must not go past the window.</summary>
        public double Tightest(IReadOnlyList<SetRound> rounds, LockState locked) => Middle(rounds, locked) + _runOut;

        public double Loosest(IReadOnlyList<SetRound> rounds, LockState locked) => Middle(rounds, locked) - _runOut;

        /// <summary>What one unit of the adjuster does from where it stands.</summary>
        public double SlopePerUnit(IReadOnlyList<SetRound> rounds) =>
            _slope * _travel.Mm(rounds.Sum(r => r.LeftUnits), _setting.Adjuster.Step) / _setting.Adjuster.Step;

        /// <summary>Tightness for each mm of the axle.</summary>
        public double Slope => _slope;

        /// <summary>Tightness as it was found, mean of the round.</summary>
        public double Start => _start;

        /// <summary>Tightness that the tight place has above the mean of the round.</summary>
        public double RunOut => _runOut;

        /// <summary>Tightness that bringing the nut to its torque adds.</summary>
        public double Nut => _nut;

        /// <summary>Gap in mm that bringing the nut to its torque adds.</summary>
        public double GapNut => _gapNut;

        /// <summary>Gap in mm for each mm that the right end is further back.</summary>
        public double GapSlope => _gapSlope;

        /// <summary>Way of the axle since it was found, mm.</summary>
        public double WayMm(IReadOnlyList<SetRound> rounds) =>
            _travel.Mm(
                0,
                rounds.Sum(r => _setting.Adjuster.HasTwoEnds ? (r.LeftUnits + r.RightUnits) / 2 : r.LeftUnits)
            );

        public PracticeReading Read(IReadOnlyList<SetRound> rounds, LockState locked)
        {
            SeededValues noise = SeededValues.For(_seed, rounds.Count, (int)locked);
            double middle = Middle(rounds, locked);
            Reading[] readings = [.. Enumerable.Range(0, Positions).Select(k => ReadAt(k, middle, noise))];
            double skew = rounds.Sum(r => r.RightUnits - r.LeftUnits) * _setting.Adjuster.TravelMm;
            double gap = _gapStart + _gapSlope * skew + (locked == LockState.Torqued ? _gapNut : 0);
            double read = Math.Max(0, gap + noise.Normal(0.1));
            return new(readings, _setting.GapSide is null ? null : Math.Round(read, 1));
        }

        /// <summary>Force that a practised hand pushes a belt with, N.</summary>
        public const double PushN = 20;

        /// <summary>A hand knows the window only about: within a tenth of its width.</summary>
        private double Felt(double tightness, SeededValues noise)
        {
            double blur = noise.Normal(0.1 * (_window.High - _window.Low));
            return tightness < _window.LoosestAllowed(_scale) + blur ? 1
                : tightness > _window.High + blur ? 3
                : 2;
        }

        public double Gap(IReadOnlyList<SetRound> rounds, LockState locked) =>
            _gapStart
            + _gapSlope * rounds.Sum(r => r.RightUnits - r.LeftUnits) * _setting.Adjuster.TravelMm
            + (locked == LockState.Torqued ? _gapNut : 0);

        private double Middle(IReadOnlyList<SetRound> rounds, LockState locked) =>
            _start + _slope * WayMm(rounds) + (locked == LockState.Torqued ? _nut : 0);

        private Reading ReadAt(int position, double middle, SeededValues noise)
        {
            double tightness = middle + _runOut * Math.Cos(2 * Math.PI * position / Positions - _phase);
            switch (_instrument)
            {
                case PracticeInstrument.Feel:
                    return new(ReadingMethod.Feel, Felt(tightness, noise), position);
                case PracticeInstrument.Gauge:
                    double gauge = Math.Max(0, tightness * (1 + noise.Normal(0.01)));
                    return new(ReadingMethod.Gauge, Math.Round(gauge, 2), position);
                case PracticeInstrument.Push:
                    double aside = _scale.ToReading(ReadingMethod.Push, Math.Max(tightness, 1), PushN)!.Value;
                    double read = Math.Max(0.5, aside + noise.Normal(0.25));
                    return new(ReadingMethod.Push, Math.Round(read * 2) / 2, position, PushN);
            }
            if (_scale.Unit == TightnessUnit.LoopMm)
            {
                double play = _scale.ToReading(ReadingMethod.FreePlay, tightness)!.Value + noise.Normal(0.5);
                return new(ReadingMethod.FreePlay, Math.Round(Math.Max(0, play), 0), position);
            }
            double hz = _scale.ToReading(ReadingMethod.Pluck, Math.Max(tightness, 1))!.Value;
            double readHz = hz * (1 + noise.Normal(0.005));
            return new(ReadingMethod.Pluck, Math.Round(Math.Max(SpanVibration.LeastHz, readHz), 1), position);
        }
    }
}
