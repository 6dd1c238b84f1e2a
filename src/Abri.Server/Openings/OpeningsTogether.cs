using Abri.Core;
using Abri.Core.Declared;
using Abri.Core.Openings;
using Abri.Core.Openings.Together;
using Abri.Core.Stages;
using Abri.Server.Api;
using Microsoft.AspNetCore.Http.HttpResults;

namespace Abri.Server.Openings;

/// <summary>Openings of a panel for which the best places together are sought.</summary>
/// <param name="Openings">Which.</param>
/// <param name="SpacingMm">Room to be kept between two flanges, mm; null for the usual.</param>
public sealed record OpeningsTogether(
    [Count(1, 100, "Place 2 to 100 openings at a time.")] IReadOnlyList<OpeningToPlace> Openings,
    [Within(0, 2000, "The room between two flanges", "mm")] double? SpacingMm = null
) : IConsistent
{
    (string Field, string Message)? IConsistent.Contradiction() =>
        Openings.DistinctBy(o => o.Id).Count() == Openings.Count ? null : ("openings", "An opening is named twice. Name each once.");

    /// <summary>Seeks the places; nothing is moved by it.</summary>
    internal static Results<Ok<Worked<TogetherPlan>>, ProblemHttpResult> Places(
        string panelId,
        OpeningsTogether body,
        OfVehicle of,
        CancellationToken stop
    )
    {
        if (of.Snapshot.Panels.FirstOrDefault(p => p.Id == panelId) is not { } panel)
            return Problems.NoPanel();
        var chosen = new List<(Stored<Opening>, string?)>();
        foreach (OpeningToPlace wanted in body.Openings)
        {
            if (of.Opening(wanted.Id) is not { } row || row.OwnerId != panelId)
                return Problems.NotFound("One of these openings has been removed.");
            chosen.Add((row, wanted.Zone));
        }
        return PlacingTogether
            .Of(OpeningSites.Together(of.Snapshot, panel, chosen, body.SpacingMm ?? PlacingFigures.FlangeGapMm), stop)
            .IsOk(out Worked<TogetherPlan>? plan, out Problem? problem)
            ? TypedResults.Ok(plan)
            : Problems.Of(Asked(problem));
    }

    /// <summary>What is wrong, seen from this body: it names openings where the site has fittings.</summary>
    private static Problem Asked(Problem problem) =>
        problem.Pointer.Split('/') switch
        {
            ["", "fittings", var i, "wishes", ..] => problem with { Pointer = $"/openings/{i}/zone" },
            ["", "fittings", ..] => problem with { Pointer = "/openings" },
            _ => problem,
        };
}

/// <summary>One of them.</summary>
/// <param name="Id">The opening.</param>
/// <param name="Zone">Name of the zone that it is to serve; null for none.</param>
public sealed record OpeningToPlace(string Id, string? Zone = null);
