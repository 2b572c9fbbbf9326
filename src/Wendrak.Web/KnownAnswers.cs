using System.Collections.Concurrent;
using Wendrak.Store;

namespace Wendrak.Web;

/// <summary>
/// What was answered since something was written last. Whoever goes back to a tooth, or to a station, asks what was asked
/// before; nothing that stands in an answer can have changed since.
/// </summary>
public sealed class KnownAnswers(Database database)
{
    private const int MostKept = 200;
    private const int MostBytes = 64 * 1024;
    private Kept _kept = new(-1);

    /// <summary>Count of commits, taken before an answer is worked out and handed to <see cref="Keep"/> with it.</summary>
    public long Commits => database.Commits;

    /// <returns>Null when it was not asked since something was written last.</returns>
    public byte[]? Find(string question)
    {
        Kept kept = _kept;
        return kept.Commits == Commits && kept.Answers.TryGetValue(question, out byte[]? answer) ? answer : null;
    }

    public void Keep(long commits, string question, byte[] answer)
    {
        if (answer.Length > MostBytes)
            return;
        Kept kept = _kept;
        if (kept.Commits != commits || kept.Answers.Count >= MostKept)
            _kept = kept = new(commits);
        kept.Answers[question] = answer;
    }

    private sealed record Kept(long Commits)
    {
        public ConcurrentDictionary<string, byte[]> Answers { get; } = [];
    }
}
