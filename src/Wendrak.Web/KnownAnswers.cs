using System.Collections.Concurrent;
using Wendrak.Store;

namespace Wendrak.Web;

/// <summary>
/// What was answered since something was written last. Whoever goes back to a tooth, or to a station, asks what was asked
/// before; nothing that stands in an answer can have changed since.
/// </summary>
public sealed class KnownAnswers(Database database)
{
    private const int MostBytes = 64 * 1024; // of one
    private const int MostBytesKept = 1024 * 1024; // of all: a few hundred teeth
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
        if (kept.Commits != commits || kept.Bytes + answer.Length > MostBytesKept)
            _kept = kept = new(commits);
        kept.Add(question, answer);
    }

    private sealed class Kept(long commits)
    {
        private int _bytes;

        public long Commits => commits;
        public int Bytes => _bytes;
        public ConcurrentDictionary<string, byte[]> Answers { get; } = [];

        public void Add(string question, byte[] answer)
        {
            Answers[question] = answer;
            Interlocked.Add(ref _bytes, answer.Length + (sizeof(char) * question.Length));
        }
    }
}
