using Wendrak.Core.Tables;

namespace Wendrak.Core.Tests.Tables;

public sealed class GlossaryTests
{
    private const int Longest = 240; // what is read standing, in a small box

    [Fact]
    public void Every_word_is_there_once_and_is_said_in_a_sentence_or_two_with_its_source()
    {
        Assert.Equal(Glossary.All.Count, Glossary.All.Select(w => w.Word).Distinct().Count());
        Assert.All(
            Glossary.All,
            w =>
            {
                Assert.EndsWith(".", w.Says, StringComparison.Ordinal);
                Assert.InRange(w.Says.Length, 20, Longest);
                Assert.NotEmpty(w.Source);
            }
        );
    }

    [Fact]
    public void Every_drawing_goes_with_a_word() =>
        Assert.Equal(
            Enum.GetValues<GlossaryDrawing>().Order(),
            Glossary.All.Select(w => w.Drawing).OfType<GlossaryDrawing>().Order()
        );
}
