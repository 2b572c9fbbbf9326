namespace Wendrak.Web.Tests;

/// <summary>Finds the checkout that the tests were built from.</summary>
internal static class Repository
{
    public static string Root { get; } = Find(AppContext.BaseDirectory);

    private static string Find(string folder) =>
        File.Exists(Path.Combine(folder, "Wendrak.slnx")) ? folder : Find(Directory.GetParent(folder)!.FullName);
}
