using System.Numerics;
using MathNet.Numerics.IntegralTransforms;

namespace Wendrak.Core.Frequency;

/// <summary>The period in a power spectrum, and what its lines say of it.</summary>
internal sealed class FundamentalFrequency
{
    private const int PictureSteps = 200;
    private const double FarthestLagS = 0.35; // for the fine value: beyond it a pluck has mostly faded
    private const double LineShare = 0.55; // of all power that must lie on the harmonics

    private readonly double[] _power;
    private readonly double _rate;
    private readonly int _size;
    private readonly int _length;
    private readonly double[] _repeats;

    public double? Hz { get; }
    public double Clarity { get; }
    public IReadOnlyList<double> Picture { get; }
    public const double StepHz = BeltFrequencyMeter.HighestHz / PictureSteps;

    public FundamentalFrequency(double[] power, double rate, int size, int length, double peakShare)
    {
        (_power, _rate, _size, _length) = (power, rate, size, length);
        _repeats = Repeats();
        Picture = Drawn();
        List<int> peaks = Peaks();
        if (peaks.Count == 0)
            return;
        double highest = peaks.Max(p => _repeats[p]);
        int first = peaks.First(p => _repeats[p] >= peakShare * highest);
        Clarity = Math.Clamp(highest, 0, 1);
        Hz = Fine(first);
    }

    /// <summary>How much the sound repeats itself after each lag, 1 at none. Of the windowed part, its window taken out.</summary>
    private double[] Repeats()
    {
        Complex[] buffer = new Complex[_size];
        for (int i = 0; i < _power.Length; i++)
        {
            buffer[i] = _power[i];
            if (i > 0 && i < _size / 2)
                buffer[_size - i] = _power[i];
        }
        Fourier.Inverse(buffer, FourierOptions.NoScaling);
        int lags = Math.Min(_length * 3 / 4, _size / 2);
        double[] window = WindowRepeats(lags);
        double[] repeats = new double[lags];
        double none = Math.Max(buffer[0].Real, 1e-300);
        for (int lag = 0; lag < lags; lag++)
            repeats[lag] = buffer[lag].Real / none / Math.Max(window[lag], 0.02);
        return repeats;
    }

    private double[] WindowRepeats(int lags)
    {
        Complex[] buffer = new Complex[_size];
        for (int i = 0; i < _length; i++)
            buffer[i] = 0.5 - 0.5 * Math.Cos(2 * Math.PI * (i + 0.5) / _length);
        Fourier.Forward(buffer, FourierOptions.NoScaling);
        for (int i = 0; i < _size; i++)
            buffer[i] = buffer[i].Magnitude * buffer[i].Magnitude;
        Fourier.Inverse(buffer, FourierOptions.NoScaling);
        return [.. buffer.Take(lags).Select(b => b.Real / buffer[0].Real)];
    }

    /// <summary>The highest place of each hump above 0, one for each, between the lags of the highest and lowest fundamental.</summary>
    private List<int> Peaks()
    {
        int least = Math.Max(2, (int)Math.Floor(_rate / BeltFrequencyMeter.HighestHz));
        int most = Math.Min(_repeats.Length - 2, (int)Math.Ceiling(_rate / BeltFrequencyMeter.LowestHz));
        List<int> peaks = [];
        int lag = 1;
        while (lag < most && _repeats[lag] > 0)
            lag++;
        for (; lag <= most; lag++)
        {
            if (_repeats[lag] <= 0)
                continue;
            int best = lag;
            for (; lag <= most && _repeats[lag] > 0; lag++)
                if (_repeats[lag] > _repeats[best])
                    best = lag;
            if (best >= least && _repeats[best] >= _repeats[best - 1] && _repeats[best] >= _repeats[best + 1])
                peaks.Add(best);
        }
        return peaks;
    }

    /// <summary>The period from its multiples: the further away one still stands out, the finer it tells.</summary>
    private double Fine(int lag)
    {
        double period = At(lag);
        int farthest = (int)Math.Min(_repeats.Length - 2, FarthestLagS * _rate);
        for (int k = 2; k * period <= farthest; k++)
        {
            int near = (int)Math.Round(k * period);
            int reach = Math.Max(1, (int)(0.1 * period));
            int best = near;
            for (int l = Math.Max(1, near - reach); l <= Math.Min(farthest, near + reach); l++)
                if (_repeats[l] > _repeats[best])
                    best = l;
            if (Math.Abs(best - near) == reach || _repeats[best] < 0.3 * _repeats[lag])
                break;
            period = At(best) / k;
        }
        return _rate / period;
    }

    /// <summary>Top of the parabola through three neighbours.</summary>
    private double At(int lag)
    {
        (double a, double b, double c) = (
            _repeats[lag - 1],
            _repeats[lag],
            _repeats[Math.Min(lag + 1, _repeats.Length - 1)]
        );
        double bend = a - 2 * b + c;
        return bend >= 0 ? lag : lag + Math.Clamp((a - c) / (2 * bend), -0.5, 0.5);
    }

    /// <summary>What this part tells if it is about a given fundamental; null where it tells none near it.</summary>
    public double? Near(double hz)
    {
        int lag = (int)Math.Round(_rate / hz);
        int reach = Math.Max(1, lag / 12);
        int best = Math.Clamp(lag, 1, _repeats.Length - 2);
        for (int l = Math.Max(1, lag - reach); l <= Math.Min(_repeats.Length - 2, lag + reach); l++)
            if (_repeats[l] > _repeats[best])
                best = l;
        return _repeats[best] > 0.2 ? _rate / At(best) : null;
    }

    /// <summary>Whether most of the sound lies on the lines of one string.</summary>
    public bool Harmonic(double hz)
    {
        double all = 0;
        double on = 0;
        double width = Math.Max(0.04 * hz, 3 * _rate / _length);
        for (int i = 1; i < _power.Length && At(i, out double f) < 1_500; i++)
        {
            all += _power[i];
            double nearest = Math.Max(1, Math.Round(f / hz)) * hz;
            // Stiffness lifts the higher lines a little.
            if (Math.Abs(f - nearest) <= width + 0.01 * nearest)
                on += _power[i];
        }
        return all > 0 && on >= LineShare * all;
    }

    /// <summary>
    /// Whether the lines belong to one string: its fundamental, or, where a small microphone does not hear that, hardly a gap among
    /// the first lines that are there. Several strings together have a common period, too, but their lines leave gaps.
    /// </summary>
    public bool HasItsLines(double hz)
    {
        const double present = 1e-3; // of the strongest line's power
        const int looked = 7;
        const int wanted = 6;
        int most = (int)Math.Min(20, 1_500 / hz);
        double[] lines = [.. Enumerable.Range(1, Math.Max(1, most)).Select(k => Line(k * hz))];
        double least = present * lines.Max();
        int first = Array.FindIndex(lines, l => l >= least);
        return first == 0 || lines.Skip(first).Take(looked).Count(l => l >= least) >= wanted;
    }

    /// <summary>Power on the lines half-way between the harmonics of a fundamental over that on them.</summary>
    public double BetweenHarmonics(double hz)
    {
        (double between, double on) = (0, 0);
        for (int k = 1; k <= 8 && k * hz < 1_500; k++)
        {
            on += Line(k * hz);
            // A line, not the flank of the noise round it.
            double half = Line((k - 0.5) * hz);
            double round = (Line((k - 0.72) * hz) + Line((k - 0.28) * hz)) / 2;
            between += Math.Max(0, half - 2 * round);
        }
        return on > 0 ? between / on : 0;
    }

    private double Line(double hz)
    {
        int centre = (int)Math.Round(hz * _size / _rate);
        int reach = Math.Max(1, (int)Math.Ceiling(1.5 * _size / _length));
        double most = 0;
        for (int i = Math.Max(0, centre - reach); i <= Math.Min(_power.Length - 1, centre + reach); i++)
            most = Math.Max(most, _power[i]);
        return most;
    }

    private double At(int bin, out double hz) => hz = bin * _rate / _size;

    private List<double> Drawn()
    {
        double most = Math.Sqrt(Math.Max(_power.Max(), 1e-300));
        List<double> drawn = [];
        for (int s = 0; s < PictureSteps; s++)
        {
            int from = (int)(s * StepHz * _size / _rate);
            int to = Math.Min(_power.Length, (int)((s + 1) * StepHz * _size / _rate) + 1);
            double loudest = 0;
            for (int i = from; i < to; i++)
                loudest = Math.Max(loudest, _power[i]);
            drawn.Add(Math.Round(Math.Sqrt(loudest) / most, 3));
        }
        return drawn;
    }
}
