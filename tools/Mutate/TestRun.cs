using System.Reflection;
using Xunit.Abstractions;
using Xunit.Sdk;

namespace Wendrak.Mutate;

/// <summary>
/// Runs some classes of tests in this process, up to the first that fails: started anew for each number, since what is worked out
/// of one is kept. A start of the usual runner takes longer than most classes.
/// </summary>
internal static class TestRun
{
    public const string Command = "--run-tests";
    private static readonly TimeSpan Longest = TimeSpan.FromMinutes(3);

    /// <param name="path">The built tests.</param>
    /// <param name="classes">Their names without that of the room.</param>
    /// <returns>Zero when all passed.</returns>
    public static int Of(string path, IReadOnlySet<string> classes)
    {
        Assembly tests = Assembly.LoadFrom(path);
        Listener listener = new();
        XunitTestFramework framework = new(listener) { SourceInformationProvider = new NoSource() };
        Options options = new();
        ITestFrameworkDiscoverer discoverer = framework.GetDiscoverer(Reflector.Wrap(tests));
        foreach (Type type in tests.GetExportedTypes().Where(t => classes.Contains(t.Name)))
        {
            listener.Found.Reset();
            discoverer.Find(type.FullName!, includeSourceInformation: false, listener, options);
            listener.Found.Wait(Longest);
        }
        if (listener.Cases.Count == 0)
            return 1;
        framework.GetExecutor(tests.GetName()).RunTests(listener.Cases, listener, options);
        return listener.Ended.Wait(Longest) && !listener.HasFailed ? 0 : 1;
    }

    private sealed class Listener : IMessageSink
    {
        public ManualResetEventSlim Found { get; } = new();
        public ManualResetEventSlim Ended { get; } = new();
        public List<ITestCase> Cases { get; } = [];
        public bool HasFailed { get; private set; }

        /// <returns>Whether to go on.</returns>
        public bool OnMessage(IMessageSinkMessage message)
        {
            switch (message)
            {
                case ITestCaseDiscoveryMessage found:
                    Cases.Add(found.TestCase);
                    break;
                case IDiscoveryCompleteMessage:
                    Found.Set();
                    break;
                case IFailureInformation:
                    HasFailed = true;
                    Ended.Set();
                    break;
                case ITestAssemblyFinished:
                    Ended.Set();
                    break;
            }
            return !HasFailed;
        }
    }

    private sealed class NoSource : ISourceInformationProvider
    {
        public ISourceInformation GetSourceInformation(ITestCase testCase) => new SourceInformation();

        public void Dispose() { }
    }

    /// <summary>As the framework has them by itself.</summary>
    private sealed class Options : ITestFrameworkDiscoveryOptions, ITestFrameworkExecutionOptions
    {
        public TValue GetValue<TValue>(string name) => default!;

        public void SetValue<TValue>(string name, TValue value) { }
    }
}
