using Wendrak.Store;

namespace Wendrak.Web;

/// <summary>Files on their way in or out: beside the data, where there is room for them, and gone once the answer is given.</summary>
internal static class PassingFile
{
    public static string Name(Database database, HttpContext context, string suffix) =>
        Passing(database, context, suffix, File.Delete);

    /// <summary>The same of a folder.</summary>
    public static string Folder(Database database, HttpContext context) =>
        Passing(database, context, "", folder => Directory.Delete(folder, recursive: true));

    private static string Passing(Database database, HttpContext context, string suffix, Action<string> delete)
    {
        string folder = Path.Combine(database.Folder, Beginning.PassingName);
        Directory.CreateDirectory(folder);
        string place = Path.Combine(folder, Guid.NewGuid().ToString("N") + suffix);
        context.Response.OnCompleted(() =>
        {
            if (Path.Exists(place))
                delete(place);
            return Task.CompletedTask;
        });
        return place;
    }
}
