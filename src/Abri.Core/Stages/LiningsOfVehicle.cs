using Abri.Core.Floor;
using Abri.Core.Linings;
using Abri.Core.Record;
using Abri.Core.Shell;
using Abri.Core.Work;

namespace Abri.Core.Stages;

/// <summary>A lining with what the list shows of it.</summary>
/// <param name="Row">The lining; its owner is the panel.</param>
/// <param name="Verdict">Its boards and holes in a sentence.</param>
/// <param name="State">What the strictest rule says of it.</param>
public sealed record LiningLine(Stored<Lining> Row, string Verdict, JudgementState State);

/// <summary>The linings of a vehicle.</summary>
/// <param name="Linings">The linings, panel by panel.</param>
/// <param name="Bare">Ids of the panels that have openings and no lining, the roof first.</param>
public sealed record LiningsOfVehicle(IReadOnlyList<LiningLine> Linings, IReadOnlyList<string> Bare)
{
    /// <summary>What a ceiling is made of where nobody says otherwise, mm: assumption.</summary>
    private const double UsualThickMm = 6,
        UsualGapMm = 25;

    /// <summary>The linings.</summary>
    public static LiningsOfVehicle Of(VehicleSnapshot of) =>
        new(
            [
                .. of.Floor.Linings.Select(row =>
                    // A lining is checked as it is kept, and its panel may have been drawn anew since.
                    LiningHoles.Of(Site(of, of.PanelOf(row)), row.Value).IsOk(out Worked<LiningPlan>? plan, out Problem? problem)
                        ? new LiningLine(row, plan.Result.Verdict, plan.Result.Rows.Select(r => r.State).DefaultIfEmpty(JudgementState.Good).Max())
                        : new LiningLine(row, problem.Message, JudgementState.Blocked)
                ),
            ],
            [
                .. of
                    .Panels.Where(p => of.Openings.On(p.Id).Any() && !of.Floor.Linings.On(p.Id).Any())
                    .OrderByDescending(p => p.Value.Kind == PanelKind.Roof)
                    .Select(p => p.Id),
            ]
        );

    /// <summary>A panel with what decides about its lining.</summary>
    public static LiningSite Site(VehicleSnapshot of, Stored<Panel> panel) =>
        new(
            panel.Value,
            of.MembersOn(panel).Values(),
            [
                .. of
                    .Openings.On(panel.Id)
                    .Values()
                    .Select(o => new LinedOpening(o.Name, o.Centre, o.TurnDeg, of.FittingOf(o), o.State, o.AsCut, o.WallMm)),
            ],
            of.Findings.On(panel.Id).Values(),
            of.Lengths
        );

    /// <summary>A lining to begin with: all over the panel, and like the last one that was drawn.</summary>
    public static Lining New(VehicleSnapshot of, Stored<Panel> panel, string name) =>
        (
            of.Floor.Linings is [.., var last]
                ? last.Value
                : new Lining(
                    "",
                    [],
                    NewSheet.Usual(BoardMaterial.BirchPly, UsualThickMm, of.Lengths.Units),
                    Grain.Lengthways,
                    UsualGapMm,
                    LiningLies.Bent,
                    Lining.UsualUndersizeMm,
                    LiningState.Planned,
                    ""
                )
        ) with
        {
            Name = name,
            Outline = panel.Value.Outline,
            State = LiningState.Planned,
            Notes = "",
        };
}
