using System.Globalization;
using System.Text;
using Abri.Core.Floor;
using Abri.Core.Geometry;
using Abri.Core.Linings;
using Abri.Core.Metal;
using Abri.Core.Openings;
using Abri.Core.Procedures;
using Abri.Core.Sealing;
using Abri.Core.Shell;
using Abri.Core.Tests.Floor;
using Abri.Core.Work;

namespace Abri.Core.Tests.Procedures;

/// <summary>
/// Procedures as somebody read and approved them, one sheet a kind in <c>docs/procedures</c>: what changes in one shows as a change of its sheet
/// (<c>ABRI_WRITE_ANSWERS=1</c> writes them anew).
/// </summary>
public class ApprovedProceduresTests
{
    private static readonly Schools Usual = new(RibInTheWay.Keep, CutSize.WasteSide),
        Other = new(RibInTheWay.CutSecondary, CutSize.WithClearance, RibOrder.SkinFirst, SpacerRing.FoamTape, WideTrim.Wider, FlangeBedding.Adhesive),
        Hybrid = Usual with { CutSize = CutSize.WithClearance, Bedding = FlangeBedding.HybridPolymer };

    public static TheoryData<FittingKind> Kinds => [.. Enum.GetValues<FittingKind>()];

    [Theory, MemberData(nameof(Kinds))]
    public void An_opening_reads_as_it_was_approved(FittingKind kind)
    {
        bool roof = kind is FittingKind.RoofVent or FittingKind.RoofSkylight or FittingKind.RoofUnit or FittingKind.Flue;
        Fitting fitting = TypicalFittings.Of(kind);
        Panel steel = roof ? Roofs.Flat() : Wall(SkinMaterial.MildSteel);
        var plain = new Site(
            steel,
            roof ? Bows(Math.Max(545, fitting.CutOut.WidthMm + 100)) : Ribs(fitting.CutOut.WidthMm + 200),
            fitting,
            WallMm: fitting.Clamp?.LeastMm + 5
        );
        PanelPoint bay = new(MiddleMm, 0);
        Site ribbed = plain with
        {
            Members = [.. plain.Members, roof ? Roofs.Bow("Bow in the way", MiddleMm - 30, MiddleMm + 30) : Rib("Rib in the way", MiddleMm)],
        };
        var sheet = new Sheet($"{Name(kind)}: {fitting.Name}");
        sheet.Add("Steel, in a bay, usual schools", Opening(new OpeningWork("Opening", plain, bay, Usual, null)));
        sheet.Add(
            "Aluminium, over a rib, the other schools",
            Opening(
                new OpeningWork(
                    "Opening",
                    ribbed with
                    {
                        Panel = steel with { Material = SkinMaterial.Aluminium, SkinMm = 1.5 },
                        WallMm = fitting.Clamp is { } clamp ? clamp.LeastMm - 8 : null,
                    },
                    bay,
                    Other,
                    null
                )
            )
        );
        sheet.Add(
            "Glass-reinforced plastic on a core of 30 mm, hybrid polymer",
            Opening(
                new OpeningWork(
                    "Opening",
                    plain with
                    {
                        Panel = steel with { Material = SkinMaterial.GlassReinforcedPlastic, SkinMm = 2, SkinGapMm = 30 },
                    },
                    bay,
                    Hybrid,
                    null
                )
            )
        );
        sheet.Add(
            "Steel, two skins 40 mm apart, ribs first",
            Opening(
                new OpeningWork(
                    "Opening",
                    ribbed with
                    {
                        Panel = steel with { SkinGapMm = 40 },
                    },
                    bay,
                    Other with
                    {
                        RibOrder = RibOrder.RibsFirst,
                        Bedding = FlangeBedding.ButylAndLapSealant,
                    },
                    null
                )
            )
        );
        sheet.Add(
            "Plywood",
            Opening(
                new OpeningWork("Opening", plain with { Panel = steel with { Material = SkinMaterial.PlywoodSkin, SkinMm = 9 } }, bay, Usual, null)
            )
        );
        if (fitting.Clamp is not null)
            sheet.Add("Steel, a wall that nobody measured", Opening(new OpeningWork("Opening", plain with { WallMm = null }, bay, Usual, null)));
        if (kind == FittingKind.BondedWindow)
        {
            foreach (Pane pane in new[] { Pane.Acrylic, Pane.Polycarbonate })
                sheet.Add(
                    $"Steel, pane of {pane.ToString().ToLowerInvariant()}",
                    Opening(new OpeningWork("Opening", plain with { Fitting = fitting with { Bonded = new Bonded(pane, 18) } }, bay, Usual, null))
                );
            sheet.Add(
                "Steel, one-part polyurethane chosen",
                Opening(
                    new OpeningWork("Opening", plain, bay, Usual, TypicalProducts.All.Single(p => p.Family == ProductFamily.PolyurethaneAdhesive))
                )
            );
        }
        if (kind == FittingKind.RoofVent)
            sheet.Add(
                "Steel, over ridges of 8 mm",
                Opening(
                    new OpeningWork("Opening", plain with { Members = [.. plain.Members, Roofs.Swage(-160), Roofs.Swage(160)] }, bay, Usual, null)
                )
            );
        sheet.Matches(Name(kind));
    }

    [Fact]
    public void Work_on_metal_reads_as_it_was_approved()
    {
        var sheet = new Sheet("Metal");
        foreach (RepairKind kind in Enum.GetValues<RepairKind>().Where(k => k != RepairKind.Leave))
        {
            FindingShape shape =
                kind is RepairKind.Gutter or RepairKind.Trim or RepairKind.Door ? FindingShape.Line
                : kind is RepairKind.Plug ? FindingShape.Point
                : FindingShape.Area;
            sheet.Add(kind.ToString(), Repaired(RepairProcedureTests.Some(kind, shape)), alone: true);
        }
        Repair patch = RepairProcedureTests.Some(RepairKind.Patch);
        sheet.Add(
            "Patch, welded",
            Repaired(patch with { Patch = PatchDesign.Usual(1) with { Join = PatchJoin.WeldedLap, Metal = SheetMetal.MildSteel } }),
            alone: true
        );
        sheet.Matches("metal");
    }

    [Fact]
    public void Work_on_floor_and_linings_reads_as_it_was_approved()
    {
        FloorSite site = Floors.Van([new Probe(ProbeOf.Member, new PanelPoint(1000, -800), WoodState.Through, null, Floors.Day, "")]);
        var sheet = new Sheet("Floor and linings");
        sheet.Add(
            "A rotten corner with its bearer",
            ReplacementProcedure.Of(site, Floors.Area(1180, 1300, -830, -600)).Value!.Result.Procedure.Steps,
            alone: true
        );
        var ceiling = new Lining(
            "Ceiling",
            new PanelBox(0, 2400, -600, 600).Corners,
            NewSheet.Usual(BoardMaterial.BirchPly, 6),
            Grain.Lengthways,
            25,
            LiningLies.Bent,
            15,
            LiningState.Planned,
            ""
        );
        var vent = new LinedOpening("Vent", new PanelPoint(1000, 0), 0, Roofs.Vent(), OpeningState.Fitted, null, null);
        sheet.Add(
            "A ceiling round a vent",
            LiningProcedure.Of(new LiningSite(Roofs.Flat(), [], [vent], []), ceiling).Value!.Result.Procedure.Steps,
            alone: true
        );
        sheet.Matches("floor");
    }

    private static string Name(FittingKind kind) =>
        string.Concat(kind.ToString().Select((c, i) => char.IsUpper(c) && i > 0 ? $"-{char.ToLowerInvariant(c)}" : $"{char.ToLowerInvariant(c)}"));

    private static Panel Wall(SkinMaterial material) => Roofs.Rectangle(0, 4200, -800, 800) with { Kind = PanelKind.Left, Material = material };

    private const double MiddleMm = 2000;

    /// <summary>Two ribs up the wall, as far apart as asked about the middle.</summary>
    private static Member[] Ribs(double clearMm) => [Rib("Front rib", MiddleMm - (clearMm / 2) - 20), Rib("Rear rib", MiddleMm + (clearMm / 2) + 20)];

    /// <summary>Two bows, as far apart as asked about the middle.</summary>
    private static Member[] Bows(double clearMm) =>
        [
            Roofs.Bow("Front bow", MiddleMm - (clearMm / 2) - 60, MiddleMm - (clearMm / 2)),
            Roofs.Bow("Rear bow", MiddleMm + (clearMm / 2), MiddleMm + (clearMm / 2) + 60),
        ];

    private static Member Rib(string name, double s) =>
        new(name, MemberKind.SideRib, MemberRole.Secondary, new Footprint(FootprintShape.Spine, [new(s, -800), new(s, 800)], 40), 30);

    private static object Repaired(Repair repair) =>
        RepairProcedure
            .Of(
                new RepairWork(
                    repair,
                    new Panel(
                        repair.Kind == RepairKind.Door ? PanelKind.RearLeftDoor : PanelKind.Left,
                        new PanelBox(0, 2000, 0, 1500).Corners,
                        1,
                        SkinMaterial.MildSteel
                    ),
                    [],
                    null,
                    [],
                    [],
                    LengthFormat.Millimetres
                )
            )
            .IsOk(out Worked<RepairPlan>? plan, out Problem? problem)
            ? plan.Result.Procedure.Steps
            : problem.Message;

    private static object Opening(OpeningWork work) =>
        OpeningProcedure.Of(work).IsOk(out Worked<Procedure>? written, out Problem? problem) ? written.Result.Steps : problem.Message;

    /// <summary>A sheet of several procedures: the first in full, of the others only the steps that read otherwise.</summary>
    private sealed class Sheet(string title)
    {
        private readonly StringBuilder text = new StringBuilder().AppendLine($"# {title}").AppendLine();
        private Dictionary<string, string>? first;

        public void Add(string name, object? written, bool alone = false)
        {
            text.AppendLine($"## {name}");
            if (written is not IReadOnlyList<WorkStep> steps)
            {
                text.AppendLine($"Refused: {written}").AppendLine();
                return;
            }
            var bodies = steps.ToDictionary(s => s.Key, Body);
            foreach (WorkStep step in steps)
            {
                bool same = !alone && first?.GetValueOrDefault(step.Key) == bodies[step.Key];
                text.AppendLine($"{step.Number}. **{step.Title}**{(same ? ": as above" : bodies[step.Key])}");
            }
            string[] gone = [.. (alone ? null : first)?.Keys.Where(k => !bodies.ContainsKey(k)) ?? []];
            if (gone.Length > 0)
                text.AppendLine().AppendLine($"Not here: {string.Join(", ", gone)}.");
            text.AppendLine();
            first ??= bodies;
        }

        public void Matches(string file)
        {
            string path = Path.Combine(LayeringTests.Root(), $"docs/procedures/{file}.md");
            if (Environment.GetEnvironmentVariable("ABRI_WRITE_ANSWERS") == "1")
            {
                Directory.CreateDirectory(Path.GetDirectoryName(path)!);
                File.WriteAllText(path, text.ToString());
            }
            Assert.Equal(File.ReadAllText(path), text.ToString());
        }

        private static string Body(WorkStep s)
        {
            var body = new StringBuilder(" (");
            var c = CultureInfo.InvariantCulture;
            body.Append(c, $"{s.Place.ToString().ToLowerInvariant()}, {s.People} {(s.People == 1 ? "person" : "people")}, {s.Minutes.Likely} min");
            body.Append(s.Weather.Dry ? ", dry" : "");
            body.Append(s.Weather.FromC is { } from ? string.Create(c, $", {from} to {s.Weather.ToC} C") : "");
            body.Append(s.Shell == ShellChange.None ? "" : $", **{s.Shell.ToString().ToLowerInvariant()} the shell**");
            body.Append(s.WaitHours > 0 ? string.Create(c, $", then wait {s.WaitHours} h") : "");
            body.Append(s.After.Any(a => a.LagHours > 0) && s.Key == "tighten-again" ? string.Create(c, $", {s.After[0].LagHours} h later") : "");
            body.AppendLine(")").Append(c, $"   {s.Do}");
            if (s.Tools.Count > 0)
                body.AppendLine().Append(c, $"   - tools: {string.Join(", ", s.Tools)}");
            string Name(Unit? unit) => unit?.ToString().ToLowerInvariant() ?? "";
            string Used(Consumable u) => string.Create(c, $"{u.Amount:0.##} {Name(u.Material.Unit)} {u.Material.Name}");
            if (s.Consumables.Count > 0)
                body.AppendLine().Append(c, $"   - uses: {string.Join(", ", s.Consumables.Select(Used))}");
            foreach (HoldPoint h in s.Holds)
            {
                string wanted = h.Wanted is null ? "" : string.Create(c, $" {h.Wanted:0.##} -{h.Less:0.##} +{h.More:0.##} {Name(h.Unit)}");
                body.AppendLine().Append(c, $"   - hold: {h.Name}{wanted}");
            }
            foreach (Caution caution in s.Cautions)
                body.AppendLine().Append(c, $"   - caution: {caution.Text}");
            return body.ToString();
        }
    }
}
