using Abri.Core.Geometry;
using Abri.Core.Metal;
using Abri.Core.Procedures;
using Abri.Core.Record;

namespace Abri.Core.Stages;

/// <summary>A piece of sheet that a repair needs.</summary>
/// <param name="RepairId">Id of the repair.</param>
/// <param name="Name">What it is.</param>
/// <param name="WidthMm">Its extent along s, mm.</param>
/// <param name="HeightMm">Its extent along t, mm.</param>
public sealed record SheetPiece(string RepairId, string Name, double WidthMm, double HeightMm);

/// <summary>All pieces of one metal and one thickness, laid out on the sheets that are there.</summary>
/// <param name="Metal">The metal.</param>
/// <param name="ThickMm">Thickness, mm.</param>
/// <param name="Pieces">The pieces, in the order in which the plan numbers them.</param>
/// <param name="SheetIds">Ids of the sheets, in the order in which the plan numbers them.</param>
/// <param name="Plan">Where each piece lies.</param>
public sealed record SheetGroup(
    SheetMetal Metal,
    double ThickMm,
    IReadOnlyList<SheetPiece> Pieces,
    IReadOnlyList<string> SheetIds,
    Worked<NestPlan> Plan
);

/// <summary>The sheets of a vehicle, and what is cut from them.</summary>
/// <param name="Sheets">Sheets and offcuts that are there; their owner is the vehicle.</param>
/// <param name="Groups">The pieces that repairs still need, by metal and thickness.</param>
public sealed record SheetsOfVehicle(IReadOnlyList<Stored<StockSheet>> Sheets, IReadOnlyList<SheetGroup> Groups)
{
    /// <summary>Two thicknesses that differ by less are one, mm.</summary>
    private const double AlikeMm = 0.05;

    /// <summary>Pieces and sheets that are laid out at once: what <see cref="NestQuestion"/> takes.</summary>
    private const int MostPieces = 60,
        MostSheets = 12;

    /// <summary>The sheets, with the pieces laid out.</summary>
    /// <param name="of">The vehicle.</param>
    /// <param name="gapMm">Least distance between pieces, mm.</param>
    /// <param name="stop">Stops the search.</param>
    public static SheetsOfVehicle Of(VehicleSnapshot of, double gapMm, CancellationToken stop = default)
    {
        var wanted = of
            .Repairs.Where(r => !r.Value.IsOver && !r.Value.BlankCut)
            .SelectMany(r => Blanks(of, r))
            .GroupBy(b => (b.Design.Metal, Thick: Math.Round(b.Design.SheetMm / AlikeMm) * AlikeMm));
        return new SheetsOfVehicle(
            of.Sheets,
            [
                .. wanted
                    .OrderBy(g => g.Key.Metal)
                    .ThenBy(g => g.Key.Thick)
                    .Select(group =>
                    {
                        var pieces = group.Take(MostPieces).ToArray();
                        Stored<StockSheet>[] sheets =
                        [
                            .. of
                                .Sheets.Where(s => s.Value.Metal == group.Key.Metal && Math.Abs(s.Value.ThickMm - group.Key.Thick) < AlikeMm)
                                .Take(MostSheets),
                        ];
                        var question = new NestQuestion(
                            [.. pieces.Select(p => new NestPiece(p.Piece.Name, p.Outline))],
                            [.. sheets.Select(s => new NestSheet(s.Value.Name, s.Value.Outline))],
                            gapMm
                        );
                        return Nest.Of(question, stop).IsOk(out Worked<NestPlan>? plan, out _)
                            ? new SheetGroup(group.Key.Metal, group.Key.Thick, [.. pieces.Select(p => p.Piece)], [.. sheets.Select(s => s.Id)], plan)
                            : null;
                    })
                    .OfType<SheetGroup>(),
            ]
        );
    }

    /// <summary>The blank of a repair, and its backing strip; none where there is none, or the bench blocks it.</summary>
    private static IEnumerable<(SheetPiece Piece, PatchDesign Design, IReadOnlyList<PanelPoint> Outline)> Blanks(
        VehicleSnapshot of,
        Stored<Repair> row
    )
    {
        RepairWork work = MetalOfVehicle.Work(of, of.PanelOf(row), row.Value);
        if (work.IsForWorkshop || !RepairProcedure.Of(work).IsOk(out Worked<RepairPlan>? plan, out _) || plan.Result.Patch is not { } patch)
            yield break;
        IEnumerable<(string Name, IReadOnlyList<PanelPoint> Outline)> all =
        [
            (row.Value.Name, patch.Blank.Outline),
            .. patch.Strip.Take(1).Select(s => ($"{row.Value.Name}: backing strip", s)),
        ];
        foreach ((string name, IReadOnlyList<PanelPoint> outline) in all)
        {
            PanelBox box = PanelBox.Of(outline);
            yield return (new SheetPiece(row.Id, name, box.WidthMm, box.HeightMm), row.Value.Patch!, outline);
        }
    }

    /// <summary>What is left of the sheets of a group once its pieces are cut, to be kept.</summary>
    public IReadOnlyList<StockSheet> OffcutsOf(SheetGroup group) =>
        [
            .. group.Plan.Result.Offcuts.Select(o =>
            {
                StockSheet whole = Sheets.Single(s => s.Id == group.SheetIds[o.Sheet]).Value;
                PanelBox box = PanelBox.Of(o.Outline);
                return whole with
                {
                    Name = whole.Name.StartsWith(OffcutOf, StringComparison.Ordinal) ? whole.Name : OffcutOf + whole.Name,
                    Outline = NestLayout.Moved(o.Outline, -box.SMinMm, -box.TMinMm),
                };
            }),
        ];

    private const string OffcutOf = "Offcut of ";
}
