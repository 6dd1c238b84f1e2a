using Abri.Core.Geometry;
using Abri.Core.Metal;
using Abri.Core.Procedures;
using Abri.Core.Record;
using Abri.Core.Work;

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
/// <param name="Later">Pieces that are laid out once these are cut: so many at once are enough.</param>
/// <param name="Plan">Where each piece lies.</param>
public sealed record SheetGroup(
    SheetMetal Metal,
    double ThickMm,
    IReadOnlyList<SheetPiece> Pieces,
    IReadOnlyList<string> SheetIds,
    int Later,
    Worked<NestPlan> Plan
);

/// <summary>A repair whose blank is not laid out yet.</summary>
/// <param name="RepairId">Id of the repair.</param>
/// <param name="Name">Its name.</param>
/// <param name="Why">What has to be mended first.</param>
public sealed record NotReady(string RepairId, string Name, string Why);

/// <summary>The sheets of a vehicle, and what is cut from them.</summary>
/// <param name="Sheets">Sheets and offcuts that are there; their owner is the vehicle.</param>
/// <param name="Groups">The pieces that repairs still need, by metal and thickness.</param>
/// <param name="NotReady">Repairs that the bench blocks.</param>
/// <param name="GapMm">Gap with which they are laid out, mm.</param>
public sealed record SheetsOfVehicle(
    IReadOnlyList<Stored<StockSheet>> Sheets,
    IReadOnlyList<SheetGroup> Groups,
    IReadOnlyList<NotReady> NotReady,
    double GapMm
)
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
        List<NotReady> notReady = [];
        List<Blank> blanks = [];
        foreach (Stored<Repair> row in of.Repairs.Where(r => !r.Value.IsOver && !r.Value.BlankCut))
        {
            RepairWork work = MetalOfVehicle.Work(of, of.PanelOf(row), row.Value);
            if (work.IsForWorkshop || work.PatchSite is not { } site)
                continue;
            if (Blocked(site, out PatchPlan? patch) is { } why)
                notReady.Add(new NotReady(row.Id, row.Value.Name, why));
            else
                blanks.AddRange(Blanks(row, patch!));
        }
        return new SheetsOfVehicle(
            of.Sheets,
            [
                .. blanks
                    .GroupBy(b => (b.Design.Metal, Thick: Math.Round(b.Design.SheetMm / AlikeMm) * AlikeMm))
                    .OrderBy(g => g.Key.Metal)
                    .ThenBy(g => g.Key.Thick)
                    .Select(g => Group(of, g.Key.Metal, g.Key.Thick, [.. g], gapMm, stop)),
            ],
            notReady,
            gapMm
        );
    }

    private sealed record Blank(SheetPiece Piece, PatchDesign Design, IReadOnlyList<PanelPoint> Outline);

    private static SheetGroup Group(VehicleSnapshot of, SheetMetal metal, double thickMm, Blank[] all, double gapMm, CancellationToken stop)
    {
        Blank[] now = [.. all.Take(MostPieces)];
        // Offcuts first, where there are more than are looked at.
        Stored<StockSheet>[] sheets =
        [
            .. of
                .Sheets.Where(s => s.Value.Metal == metal && Math.Abs(s.Value.ThickMm - thickMm) < AlikeMm)
                .OrderBy(s => Math.Abs(Outlines.SignedAreaMm2(s.Value.Outline)))
                .Take(MostSheets),
        ];
        var question = new NestQuestion(
            [.. now.Select(b => new NestPiece(b.Piece.Name, b.Outline))],
            [.. sheets.Select(s => new NestSheet(s.Value.Name, s.Value.Outline))],
            gapMm
        );
        // Outlines of sheets are checked as they are kept, those of blanks before they come here.
        Worked<NestPlan> plan = Nest.Of(question, stop).Value!;
        return new SheetGroup(metal, thickMm, [.. now.Select(b => b.Piece)], [.. sheets.Select(s => s.Id)], all.Length - now.Length, plan);
    }

    /// <summary>Why a blank must not be cut yet, or null with its patch.</summary>
    private static string? Blocked(PatchSite site, out PatchPlan? patch)
    {
        patch = null;
        if (!Patch.Of(site).IsOk(out Worked<PatchPlan>? plan, out Problem? problem))
            return problem.Message;
        patch = plan.Result;
        return patch.Rows.Concat(patch.Blank.Rows).FirstOrDefault(r => r.State == JudgementState.Blocked) is { } row
            ? $"{char.ToUpperInvariant(row.Title[0])}{row.Title[1..]}: {row.Remedy}"
            : Outlines.Check(patch.Blank.Outline, "")?.Message;
    }

    /// <summary>The blank of a repair, and its backing strip.</summary>
    private static IEnumerable<Blank> Blanks(Stored<Repair> row, PatchPlan patch)
    {
        IEnumerable<(string Name, IReadOnlyList<PanelPoint> Outline)> all =
        [
            (row.Value.Name, patch.Blank.Outline),
            .. patch.Strip.Take(1).Select(s => ($"{row.Value.Name}: backing strip", s)),
        ];
        foreach ((string name, IReadOnlyList<PanelPoint> outline) in all)
        {
            PanelBox box = PanelBox.Of(outline);
            yield return new Blank(new SheetPiece(row.Id, name, box.WidthMm, box.HeightMm), row.Value.Patch!, outline);
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
