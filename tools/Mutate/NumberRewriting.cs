using Microsoft.CodeAnalysis;
using Microsoft.CodeAnalysis.CSharp;
using Microsoft.CodeAnalysis.CSharp.Syntax;

namespace Wendrak.Mutate;

/// <summary>Puts a call around each number, which gives it back as it is or, for the one that is asked for, changed.</summary>
/// <remarks>
/// Zero and one are left alone, and so are numbers where C# wants a constant: in attributes, patterns, case labels and defaults of
/// parameters. Bounds of fields are held by another test: each is found out over HTTP and laid beside those kept (BoundsTests). A
/// constant becomes a property unless it is wanted in such a place.
/// </remarks>
internal sealed class NumberRewriting(string file, HashSet<string> wanted, List<Number> found) : CSharpSyntaxRewriter
{
    public static IReadOnlyList<Number> Rewrite(Workplace place, string[] rooms)
    {
        Dictionary<string, SyntaxNode> trees = place.Sources.ToDictionary(
            f => f,
            f => CSharpSyntaxTree.ParseText(File.ReadAllText(f)).GetRoot()
        );
        HashSet<string> wanted =
        [
            .. trees
                .Values.SelectMany(t => t.DescendantNodes().OfType<SimpleNameSyntax>())
                .Where(WantsConstant)
                .Select(n => n.Identifier.ValueText),
        ];
        List<Number> found = [];
        foreach (
            string file in place
                .Sources.Where(f => rooms.Any(r => f.StartsWith(Path.Combine(place.Core, r), StringComparison.Ordinal)))
                .Order(StringComparer.Ordinal)
        )
        {
            SyntaxNode changed = new NumberRewriting(Path.GetRelativePath(place.Core, file), wanted, found).Visit(
                trees[file]
            );
            File.WriteAllText(file, changed.ToFullString());
        }
        place.AddMutant();
        return found;
    }

    private static bool WantsConstant(SyntaxNode node) =>
        node.Ancestors()
            .TakeWhile(a => a is not (StatementSyntax or MemberDeclarationSyntax and not EnumMemberDeclarationSyntax))
            .Any(a => a is AttributeSyntax or PatternSyntax or CaseSwitchLabelSyntax or EnumMemberDeclarationSyntax)
        || node.Ancestors().OfType<ParameterSyntax>().Any(p => p.Default?.Span.Contains(node.Span) == true);

    private static bool IsBound(SyntaxNode node) =>
        node.Ancestors()
            .OfType<InvocationExpressionSyntax>()
            .Select(i => i.Expression)
            .OfType<MemberAccessExpressionSyntax>()
            .Any(m => m.Name.Identifier.ValueText is "Between" or "BetweenIfGiven");

    public override SyntaxNode? VisitFieldDeclaration(FieldDeclarationSyntax node)
    {
        VariableDeclaratorSyntax first = node.Declaration.Variables[0];
        bool isConst = node.Modifiers.Any(SyntaxKind.ConstKeyword);
        string type = node.Declaration.Type.ToString();
        if (!isConst)
            return base.VisitFieldDeclaration(node);
        if (
            type is not ("double" or "int")
            || node.Declaration.Variables.Count > 1
            || wanted.Contains(first.Identifier.ValueText)
        )
            return node;
        ExpressionSyntax value = (ExpressionSyntax)Visit(first.Initializer!.Value);
        string modifiers = string.Join(
            " ",
            node.Modifiers.Where(m => !m.IsKind(SyntaxKind.ConstKeyword)).Select(m => m.Text)
        );
        return SyntaxFactory
            .ParseMemberDeclaration($"{modifiers} static {type} {first.Identifier.ValueText} => {value};")!
            .WithLeadingTrivia(node.GetLeadingTrivia())
            .WithTrailingTrivia(node.GetTrailingTrivia());
    }

    public override SyntaxNode? VisitLocalDeclarationStatement(LocalDeclarationStatementSyntax node)
    {
        if (!node.Modifiers.Any(SyntaxKind.ConstKeyword))
            return base.VisitLocalDeclarationStatement(node);
        if (
            node.Declaration.Type.ToString() is not ("double" or "int")
            || node.Declaration.Variables.Any(v => wanted.Contains(v.Identifier.ValueText))
        )
            return node;
        LocalDeclarationStatementSyntax open = node.WithModifiers([]).WithLeadingTrivia(node.GetLeadingTrivia());
        return open.WithDeclaration((VariableDeclarationSyntax)Visit(node.Declaration));
    }

    public override SyntaxNode? VisitLiteralExpression(LiteralExpressionSyntax node)
    {
        if (
            !node.IsKind(SyntaxKind.NumericLiteralExpression)
            || node.Token.Value is 0 or 1 or 0.0 or 1.0 or not (int or double)
            || WantsConstant(node)
            || IsBound(node)
            || node.Ancestors().Any(a => a is BracketedArgumentListSyntax or InterpolationAlignmentClauseSyntax)
        )
            return node;
        FileLinePositionSpan at = node.SyntaxTree.GetLineSpan(node.Span);
        int line = at.StartLinePosition.Line;
        found.Add(
            new(found.Count, file, line + 1, node.Token.Text, node.SyntaxTree.GetText().Lines[line].ToString().Trim())
        );
        return SyntaxFactory
            .ParseExpression($"Wendrak.Core.Quantities.Mutant.Of({found.Count - 1}, {node.Token.Text})")
            .WithTriviaFrom(node);
    }
}
