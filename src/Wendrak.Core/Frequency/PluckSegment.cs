namespace Wendrak.Core.Frequency;

/// <summary>Where in a recording the strongest pluck rings, and what was there before it.</summary>
/// <param name="Start">First sample of the ringing part.</param>
/// <param name="NoiseLength">Samples of quiet that tell hum and noise; 0 where there are too few.</param>
internal sealed record PluckSegment(int Start, int Length, int NoiseStart, int NoiseLength)
{
    private const double FrameS = 0.01;
    private const double RingsS = 1.2; // longer teaches nothing more
    private const double AttackS = 0.015; // the finger's own noise
    private const double ShortestNoiseS = 0.08;
    private const double Rise = 4; // in power over the frames before: an onset
    private const int RingFrames = 30; // an earlier pluck is no noise to be taken off
    private const double Faded = 1e-4; // of the loudest frame's power

    /// <returns>Null where nothing rises out of what is there all the time.</returns>
    public static PluckSegment? Find(double[] samples, double rate)
    {
        int frame = Math.Max(1, (int)(FrameS * rate));
        double[] power = Power(samples, frame);
        List<int> onsets = Onsets(power);
        if (onsets.Count == 0)
            return null;
        int strongest = onsets.MaxBy(o => PeakAfter(power, o));
        int next = onsets.Where(o => o > strongest + 8).DefaultIfEmpty(power.Length).Min();
        int start = strongest * frame + (int)(AttackS * rate);
        int end = Math.Min(Math.Min(next * frame, start + (int)(RingsS * rate)), Fades(power, strongest) * frame);
        int quiet = Math.Max(0, strongest - 1) * frame;
        int first = onsets
            .Where(o => o < strongest && !(o == 0 && IsSteady(power, strongest)))
            .Select(o => (o + RingFrames) * frame)
            .DefaultIfEmpty(0)
            .Max();
        bool hasQuiet = quiet - first >= ShortestNoiseS * rate;
        return end - start < frame ? null : new(start, end - start, first, hasQuiet ? quiet - first : 0);
    }

    /// <summary>Whether what sounds from the beginning goes on as loud until a pluck: hum, not an earlier pluck.</summary>
    private static bool IsSteady(double[] power, int until)
    {
        if (until < 12)
            return false;
        return power[(until - 6)..(until - 1)].Average() > 0.3 * power[1..6].Average();
    }

    private static double[] Power(double[] samples, int frame)
    {
        double[] power = new double[samples.Length / frame];
        for (int f = 0; f < power.Length; f++)
        {
            double sum = 0;
            for (int i = f * frame; i < (f + 1) * frame; i++)
                sum += samples[i] * samples[i];
            power[f] = sum / frame;
        }
        return power;
    }

    private static List<int> Onsets(double[] power)
    {
        const int before = 6;
        const int apart = 8;
        const int period = 12; // frames, of somewhat less than the lowest fundamental
        double loudest = power.Length == 0 ? 0 : power.Max();
        List<int> onsets = [];
        for (int f = 0; f < power.Length; f++)
        {
            double was = f == 0 ? 0 : power[Math.Max(0, f - before)..f].Average();
            // A low fundamental swings within its period: an onset is louder than all of the period before it, too.
            double swing = f == 0 ? 0 : power[Math.Max(0, f - period)..f].Max();
            if (power[f] < 0.02 * loudest || power[f] < Rise * was || power[f] < 1.5 * swing)
                continue;
            if (onsets.Count == 0 || f - onsets[^1] > apart)
                onsets.Add(f);
        }
        // What sounds from the first frame on and never falls was not plucked.
        if (onsets is [0] && power.Length > 20 && power[^10..].Average() > 0.5 * power[..10].Average())
            return [];
        return onsets;
    }

    private static double PeakAfter(double[] power, int onset) => power[onset..Math.Min(power.Length, onset + 8)].Max();

    private static int Fades(double[] power, int onset)
    {
        double least = Faded * PeakAfter(power, onset);
        int f = onset + 8;
        while (f < power.Length && power[f] > least)
            f++;
        return Math.Min(power.Length, f);
    }
}
