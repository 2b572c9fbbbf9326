namespace Wendrak.Core.Quantities;

/// <summary>Names what is refused of a part of an input where that part stands in the whole.</summary>
internal static class Refusal
{
    /// <param name="path">Of the part, e.g. “Input”.</param>
    /// <exception cref="InvalidInputException">As the part was refused, with the path before every field.</exception>
    public static void Under(string path, Action work) =>
        Under(
            path,
            () =>
            {
                work();
                return true;
            }
        );

    /// <summary>The same of a part that tells something.</summary>
    /// <param name="path">Of the part, e.g. “Input”.</param>
    /// <exception cref="InvalidInputException">As the part was refused, with the path before every field.</exception>
    /// <param name="but">Fields that begin so stand beside the part; null for none.</param>
    public static T Under<T>(string path, Func<T> work, string? but = null)
    {
        try
        {
            return work();
        }
        catch (InvalidInputException e)
        {
            throw new InvalidInputException([
                .. e.Issues.Select(i =>
                    but is not null && i.Field.StartsWith(but, StringComparison.Ordinal)
                        ? i
                        : i with
                        {
                            Field = path.Length == 0 ? i.Field : $"{path}.{i.Field}",
                        }
                ),
            ]);
        }
    }

    /// <exception cref="InvalidInputException">As it was refused, with another beginning of the fields that begin so.</exception>
    public static T Renamed<T>(string from, string to, Func<T> work)
    {
        try
        {
            return work();
        }
        catch (InvalidInputException e)
        {
            throw new InvalidInputException([.. e.Issues.Select(i => At(i, from, to))]);
        }
    }

    public static InputIssue At(InputIssue issue, string from, string to) =>
        issue.Field.StartsWith(from, StringComparison.Ordinal)
            ? issue with
            {
                Field = to + issue.Field[from.Length..],
            }
            : issue;
}
