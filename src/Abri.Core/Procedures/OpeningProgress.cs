using Abri.Core.Geometry;
using Abri.Core.Openings;
using Abri.Core.Sealing;
using Abri.Core.Work;

namespace Abri.Core.Procedures;

/// <summary>Where somebody goes to take the next step of an opening.</summary>
public enum NextPlace
{
    /// <summary>Choose or mend its place.</summary>
    Place,

    /// <summary>Enter what is not known of it yet.</summary>
    Settings,

    /// <summary>Mark it out.</summary>
    MarkOut,

    /// <summary>Measure the hole.</summary>
    AsCut,

    /// <summary>Clamp it.</summary>
    Clamp,

    /// <summary>Bond it.</summary>
    Bond,

    /// <summary>Choose or write down what seals it.</summary>
    Sealing,

    /// <summary>Follow its steps.</summary>
    Steps,
}

/// <summary>How an opening stands.</summary>
/// <param name="State">Whether its place is good.</param>
/// <param name="Summary">That in words.</param>
/// <param name="Reason">What decides it.</param>
/// <param name="Next">What comes next; empty when nothing does.</param>
/// <param name="Where">Where that is done.</param>
public sealed record OpeningStanding(JudgementState State, string Summary, string Reason, string Next, NextPlace Where);

/// <summary>Tells how an opening stands and what comes next, in the order in which the trade does it.</summary>
/// <remarks>A hole that is cut comes before everything else of its kind: measured, then fitted, then sealed. What is planned needs a place, its
/// figures and a product before it is cut.</remarks>
/// <example>Cut, not measured: measure the hole. Cut, measured, 3 of 8 lugs trimmed: trim the lugs.</example>
public static class OpeningProgress
{
    /// <summary>The standing of an opening.</summary>
    /// <param name="opening">The opening.</param>
    /// <param name="site">Its site.</param>
    /// <param name="joint">Its joint; null where none was written down.</param>
    public static OpeningStanding Of(Opening opening, Site site, Joint? joint)
    {
        if (!OpeningVerdict.Of(site, opening.Centre).IsOk(out Worked<Verdict>? judged, out Problem? problem))
            return new OpeningStanding(
                JudgementState.Blocked,
                "Cannot be judged",
                problem.Message,
                "Correct what contradicts itself",
                NextPlace.Place
            );
        Verdict verdict = judged.Result;
        (string next, NextPlace where) = opening.State switch
        {
            OpeningState.Planned => Planned(opening, site.Fitting, verdict, joint),
            OpeningState.Cut => Cut(opening, site, joint),
            _ => IsSealed(joint) ? ("", NextPlace.Sealing) : ("Write down what sealed it", NextPlace.Sealing),
        };
        return new OpeningStanding(verdict.State, verdict.Summary, verdict.Reason, next, where);
    }

    private static (string, NextPlace) Planned(Opening opening, Fitting fitting, Verdict verdict, Joint? joint) =>
        verdict.State == JudgementState.Blocked ? ("Find another place", NextPlace.Place)
        : fitting.Clamp is not null && opening.WallMm is null ? ("Measure the wall and enter it", NextPlace.Settings)
        : joint?.ProductId is null ? ("Choose what seals it", fitting.Bonded is null ? NextPlace.Sealing : NextPlace.Bond)
        : verdict.State == JudgementState.NeedsWork ? ("Read its steps, then mark it out", NextPlace.Steps)
        : ("Mark it out, then cut", NextPlace.MarkOut);

    private static (string, NextPlace) Cut(Opening opening, Site site, Joint? joint)
    {
        if (opening.AsCut is not { } hole)
            return ("Measure the hole", NextPlace.AsCut);
        if (
            HoleCheck.Of(Frame.Of(site.Fitting, opening.TurnDeg), hole, site.Panel.Facing, site.Lengths ?? LengthFormat.Millimetres) is
            { Value: { Result.Fit: not Fit.Fits } fit }
        )
            return (fit.Result.Fit == Fit.OpenUp ? "Open the hole up" : "The hole is too big: see what is left to lap", NextPlace.AsCut);
        if (site.Fitting.Halves is { } halves)
        {
            int trimmed = opening.Clamp?.Trimmed.Count(on => on) ?? 0,
                tight = opening.Clamp?.Tight.Count ?? 0,
                screws = halves.ScrewPlaces?.Count ?? halves.Lugs;
            if (trimmed < halves.Lugs)
                return ($"Trim the lugs, {trimmed} of {halves.Lugs} done", NextPlace.Clamp);
            if (tight < screws)
                return ($"Clamp it, {tight} of {screws} screws tight", NextPlace.Clamp);
        }
        if (!IsSealed(joint))
            return site.Fitting.Bonded is null
                ? ("Bed and seal it, and write it down", NextPlace.Sealing)
                : ("Lay the bead, set the pane, and write it down", NextPlace.Bond);
        return ("Test it with water, then call it fitted", NextPlace.AsCut);
    }

    private static bool IsSealed(Joint? joint) => joint is not null && JointHistory.Since(joint).Any(e => e.Kind == JointEventKind.Sealed);
}
