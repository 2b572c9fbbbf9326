using System.Text.Json.Serialization;
using Wendrak.Core.Gearing;
using Wendrak.Core.Procedures;
using Wendrak.Core.Quantities;

namespace Wendrak.Core.Sharing;

/// <summary>What one workshop hands to another. Format: docs/shared-file.md.</summary>
/// <param name="Format">Always <see cref="FormatName"/>.</param>
/// <param name="FormatVersion">1; a larger number was written by a newer program and is refused.</param>
/// <param name="Title">What it is, in a few words.</param>
/// <param name="Version">Grows with every change of what it was written from: of two files of one author the larger is the later.</param>
/// <param name="Author">Who wrote it.</param>
/// <param name="On">Day it was written.</param>
public sealed record SharedFile(
    string Format,
    int FormatVersion,
    string Title,
    int Version,
    string Author,
    DateOnly On,
    SharedContent Content
)
{
    public const string FormatName = "wendrak-shared";
    public const int NewestVersion = 2;

    /// <summary>Refuses what can't be taken in whole.</summary>
    /// <exception cref="InvalidInputException">Says what the file is not, or which part of it is wrong.</exception>
    public void Check()
    {
        FileForm.Check(Format, FormatName, FormatVersion, NewestVersion);
        new Guard()
            .Named(nameof(Title), Title)
            .Named(nameof(Author), Author)
            .Between(nameof(Version), Version, 1, int.MaxValue, "")
            .Include(new Guard($"{nameof(Content)}.").Include(Content.Check()))
            .ThrowIfAny();
    }
}

/// <summary>What is in a shared file.</summary>
[JsonPolymorphic(TypeDiscriminatorPropertyName = "kind")]
[JsonDerivedType(typeof(SharedProcedure), "procedure")]
[JsonDerivedType(typeof(SharedGearboxSet), "gearboxSet")]
[JsonDerivedType(typeof(SharedAims), "aims")]
public abstract record SharedContent
{
    internal abstract Guard Check();
}

/// <summary>What a machine has of its own beside a procedure.</summary>
/// <param name="Procedure">Words, minutes and torques of its steps, and steps added.</param>
/// <param name="BasedOn">Version of the procedure it stands beside.</param>
public sealed record SharedProcedure(OwnProcedure Procedure, int BasedOn) : SharedContent
{
    internal override Guard Check() =>
        new Guard()
            .Between(nameof(BasedOn), BasedOn, 1, int.MaxValue, "")
            .Include(new Guard($"{nameof(Procedure)}.").Include(Procedure.Check()));
}

/// <summary>A gearbox set.</summary>
/// <param name="Name">What people call it.</param>
/// <param name="Reductions">Input turns per output turn, first gear first, each above 0; 0 for a gear that nobody knows the ratio of.</param>
/// <param name="TurnsRound">True when the output turns against the input.</param>
/// <param name="Note">Free words; null for none.</param>
public sealed record SharedGearboxSet(string Name, IReadOnlyList<double> Reductions, bool TurnsRound, string? Note)
    : SharedContent
{
    public GearboxSet ToSet() => new(0, 0, Name, Reductions, TurnsRound, Note);

    internal override Guard Check() => DriveRules.CheckSet(ToSet());
}

/// <summary>The aims of a venue.</summary>
/// <param name="Venue">Where they are for.</param>
/// <param name="Aims">Each name at most once.</param>
/// <param name="LeftOut">Names of aims that could not go along: they mean a setup of their machine, or another has the name.</param>
public sealed record SharedAims(string Venue, IReadOnlyList<SharedAim> Aims, IReadOnlyList<string> LeftOut)
    : SharedContent
{
    public const int MostAims = 200;

    internal override Guard Check()
    {
        Guard guard = new Guard()
            .Named(nameof(Venue), Venue)
            .Count(nameof(Aims), Aims.Count, 1, MostAims, "aims")
            .Count(nameof(LeftOut), LeftOut.Count, 0, MostAims, "aims");
        if (guard.HasIssues)
            return guard;
        for (int i = 0; i < Aims.Count; i++)
            guard.Include(new Guard($"{nameof(Aims)}[{i}].").Include(Aims[i].Check(int.MaxValue)));
        for (int i = 0; i < LeftOut.Count; i++)
            guard.Named($"{nameof(LeftOut)}[{i}]", LeftOut[i]);
        return guard.That(
            Aims.Select(a => a.Name).Distinct().Count() == Aims.Count,
            nameof(Aims),
            "twice",
            "Give every aim another name."
        );
    }
}

/// <summary>An aim without the machine it was made for and without what was tried there.</summary>
/// <param name="Name">What people call it.</param>
/// <param name="Note">Free words; null for none.</param>
public sealed record SharedAim(string Name, AimTarget Target, Conditions Conditions, Wishes Wishes, string? Note)
{
    /// <summary>Everything wrong with it on a drive with this many gears.</summary>
    internal Guard Check(int gears) =>
        new Guard()
            .Named(nameof(Name), Name)
            .Note(nameof(Note), Note)
            .That(
                Target is not MatchSetup,
                nameof(Target),
                "setup",
                "Leave it out: it means a setup of the machine it was made for."
            )
            .Include(new Guard($"{nameof(Target)}.").Include(AimRules.Check(Target, gears)))
            .Include(AimRules.CheckMemory(Conditions, Wishes, []));
}
