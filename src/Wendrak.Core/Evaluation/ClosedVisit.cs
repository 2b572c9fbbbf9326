using Wendrak.Core.Quantities;
using Wendrak.Core.Records;
using Wendrak.Core.Tension;

namespace Wendrak.Core.Evaluation;

/// <summary>A visit as it is closed: what it is closed over is told by the machine as it is stored.</summary>
public static class ClosedVisit
{
    /// <summary>The visit with what it is closed over written down; a reason is asked for it.</summary>
    /// <exception cref="InvalidInputException">Something asks for a reason, and none is given.</exception>
    public static SetJob Fill(SetJob job, Machine machine, Setup fitted)
    {
        if (
            job.Closing is not { } closing
            || SetInputs.For(machine, fitted.Loops, fitted.RoadWheels, job) is not { } input
        )
            return job;
        ClosingAnswer over = ClosingReasons.Find(new(input, job.Cautions is not null, closing.TorqueNm));
        IReadOnlyList<ClosedDespite> despite = over.Despite;
        new Guard()
            .That(
                despite.Count == 0 || !string.IsNullOrWhiteSpace(closing.Reason),
                "Closing.Reason",
                "missing",
                "Say why it is closed over what is open; it stands in the record."
            )
            .Note("Closing.Reason", closing.Reason)
            .ThrowIfAny();
        return job with
        {
            Closing = closing with
            {
                Despite = despite.Count == 0 ? null : despite,
                Reason = despite.Count == 0 ? null : closing.Reason,
                Outside = over.Outside.Count == 0 ? null : over.Outside,
            },
        };
    }
}
