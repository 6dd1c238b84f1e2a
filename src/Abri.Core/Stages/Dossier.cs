using System.Globalization;
using Abri.Core.Geometry;
using Abri.Core.Logbook;
using Abri.Core.Metal;
using Abri.Core.Openings;
using Abri.Core.Record;
using Abri.Core.Sealing;
using Abri.Core.Shell;
using Abri.Core.Work;

namespace Abri.Core.Stages;

/// <summary>A line of figures: what it is about, and two things that are said of it.</summary>
/// <param name="What">What it is about.</param>
/// <param name="First">One thing.</param>
/// <param name="Second">Another; empty where there is none.</param>
public sealed record DossierRow(string What, string First, string Second);

/// <summary>One thing in a dossier.</summary>
/// <param name="Title">Its name.</param>
/// <param name="Lines">What is said of it.</param>
/// <param name="Rows">Figures of it.</param>
/// <param name="Picture">Its drawing; null for none.</param>
/// <param name="Photos">Its photos, oldest first.</param>
public sealed record DossierItem(
    string Title,
    IReadOnlyList<string> Lines,
    IReadOnlyList<DossierRow> Rows,
    Drawing? Picture,
    IReadOnlyList<Photo> Photos
);

/// <summary>A part of a dossier.</summary>
/// <param name="Title">What it is about.</param>
/// <param name="Items">What stands in it.</param>
public sealed record DossierPart(string Title, IReadOnlyList<DossierItem> Items);

/// <summary>Everything about a vehicle that its owner, an inspector or a buyer wants to read, in words and drawings.</summary>
/// <param name="Vehicle">Its name.</param>
/// <param name="About">What it is, in a line.</param>
/// <param name="On">The day.</param>
/// <param name="Parts">Its parts; what nothing is known of is left out.</param>
public sealed record Dossier(string Vehicle, string About, DateOnly On, IReadOnlyList<DossierPart> Parts)
{
    /// <summary>The dossier of a vehicle.</summary>
    /// <param name="of">The vehicle.</param>
    /// <param name="now">The moment.</param>
    public static Dossier Of(VehicleSnapshot of, DateTimeOffset now)
    {
        VehicleNow at = VehicleNow.At(of, now);
        Vehicle vehicle = of.Vehicle.Value;
        MetalOfVehicle metal = MetalOfVehicle.Of(of);
        DossierPart[] parts =
        [
            new("The shell", [.. of.Panels.Select(p => ThePanel(of, p))]),
            new("Openings", [.. of.Openings.Select(o => TheOpening(of, at, o))]),
            new("Repairs", [.. metal.Repairs.Select(r => TheRepair(of, r))]),
            new("Floor and linings", Wood(of)),
            new("Joints and what seals them", Joints(of)),
            new("Looked at for water", Looked(of, at)),
            new(
                "Findings that are open or watched",
                [.. of.Findings.Where(f => f.Value.State != FindingState.Done).Select(f => TheFinding(of, at, f))]
            ),
            new("Work as it was done", Work(of, at)),
            new("To look after", Upkeep(of, now)),
            new("Mass, by the papers", Masses(vehicle)),
            new("Mind", Mind(of)),
        ];
        return new Dossier(
            vehicle.Name,
            $"{Words(vehicle.Kind)}{(vehicle.Year is { } year ? $", {year}" : "")}",
            DateOnly.FromDateTime(at.Now.DateTime),
            [.. parts.Where(p => p.Items.Count > 0)]
        );
    }

    private static DossierItem ThePanel(VehicleSnapshot of, Stored<Panel> row)
    {
        Panel panel = row.Value;
        int members = of.MembersOn(row).Count();
        return new DossierItem(
            PanelWords.Title(panel),
            [
                $"{Words(panel.Material)}, {of.Lengths.Text(panel.SkinMm)} thick, {members} {(members == 1 ? "member" : "members")}. "
                    + "Seen from outside; openings in strong lines, repairs dashed.",
            ],
            [],
            Picture(of, row),
            []
        );
    }

    /// <summary>A panel as one sees it from outside: its edge, its members, openings and repairs.</summary>
    private static Drawing Picture(VehicleSnapshot of, Stored<Panel> row)
    {
        var view = PanelView.Of(row.Value.Facing, ViewedFrom.Outside);
        IEnumerable<DrawnLine> Closed(Layer layer, IReadOnlyList<PanelPoint> corners) =>
            corners.Select(
                (p, i) =>
                {
                    (double x1, double y1) = view.ToPaper(p);
                    (double x2, double y2) = view.ToPaper(corners[(i + 1) % corners.Count]);
                    return new DrawnLine(layer, x1, y1, x2, y2);
                }
            );
        return new Drawing(
            PanelWords.Title(row.Value),
            ViewedFrom.Outside,
            [
                .. Closed(Layer.Inner, row.Value.Outline),
                .. of.MembersOn(row).SelectMany(m => Closed(Layer.Datum, MemberOutline.Of(m.Value.Footprint))),
                .. of.Openings.On(row.Id).SelectMany(o => Closed(Layer.Cut, MetalOfVehicle.ShapeOf(of, o.Value, f => f.CutOut))),
                .. of.Repairs.On(row.Id).SelectMany(r => Closed(Layer.Path, r.Value.Damage)),
            ],
            [],
            []
        );
    }

    private static DossierItem TheOpening(VehicleSnapshot of, VehicleNow at, Stored<Opening> row)
    {
        Fitting fitting = of.FittingOf(row.Value);
        var frame = Frame.Of(fitting, row.Value.TurnDeg);
        string Size(double a, double b) => $"{of.Lengths.Text(a)} by {of.Lengths.Text(b)}";
        var rows = new List<DossierRow>
        {
            new("Fitting", fitting.Name, PanelWords.Title(of.PanelOf(row).Value)),
            new("Planned", $"cut-out {Size(frame.CutOut.WidthMm, frame.CutOut.HeightMm)}", Words(row.Value.State)),
        };
        if (row.Value.AsCut is { } cut)
        {
            (string width, string height) = of.PanelOf(row).Value.Facing.Ways();
            rows.Add(new("As cut", $"{width} {of.Lengths.Text(cut.TopWidthMm)} and {of.Lengths.Text(cut.BottomWidthMm)}", ""));
            rows.Add(new("", $"{height} {of.Lengths.Text(cut.FrontHeightMm)} and {of.Lengths.Text(cut.RearHeightMm)}", ""));
            rows.Add(new("", $"diagonals {of.Lengths.Text(cut.RisingDiagonalMm)} and {of.Lengths.Text(cut.FallingDiagonalMm)}", ""));
        }
        if (of.JointOf(row) is { } joint)
            rows.Add(new("Sealed with", of.Product(joint.Value.ProductId)?.Name ?? "no product chosen", LastLaid(joint.Value)));
        string[] lines =
        [
            .. AsBuilt.Of(of).Where(b => b.OpeningId == row.Id).Select(b => b.Fit?.Advice ?? b.Trouble!),
            .. Steps(of, at, new Job(JobKind.Opening, row.Id)),
            .. Said(row.Value.Notes),
        ];
        return new DossierItem(row.Value.Name, lines, rows, null, []);
    }

    private static DossierItem TheRepair(VehicleSnapshot of, MetalRepair repair)
    {
        Repair value = repair.Row.Value;
        bool workshop = MetalOfVehicle.Work(of, of.PanelOf(repair.Row), value).IsForWorkshop;
        string[] lines =
        [
            .. Said(repair.Advice),
            .. workshop ? ["Structure: cleaned and protected only. The repair is a licensed workshop's."] : Array.Empty<string>(),
            .. repair.LookAgainOn is { } on ? [$"To be looked at again by {Day(on)}."] : Array.Empty<string>(),
            .. Said(value.Notes),
        ];
        string what = $"{Words(value.Kind)}, {Words(value.State)}";
        return new DossierItem(
            value.Name,
            lines,
            [new(PanelWords.Title(of.PanelOf(repair.Row).Value), what, value.DoneOn is { } done ? Day(done) : "")],
            null,
            [.. value.FindingIds.SelectMany(of.Photos.On).Values()]
        );
    }

    private static DossierItem TheFinding(VehicleSnapshot of, VehicleNow at, Stored<Finding> row) =>
        new(
            row.Value.Name,
            [.. Said(row.Value.Notes)],
            [
                new(
                    PanelWords.Title(of.PanelOf(row).Value),
                    $"{Words(row.Value.Kind)}, {Words(row.Value.Severity)}, {Words(row.Value.State)}",
                    $"{Day(at, row.Value.SeenAt)} {row.Value.SeenBy}".Trim()
                ),
            ],
            null,
            [.. of.Photos.On(row.Id).Values()]
        );

    private static DossierItem[] Wood(VehicleSnapshot of)
    {
        DossierRow[] rows =
        [
            .. of.Floor.Replacements.Select(r => new DossierRow(
                r.Value.Name,
                $"new {Words(r.Value.Sheet.Material)} {of.Lengths.Text(r.Value.Sheet.ThickMm)}, {Words(r.Value.State)}",
                r.Value.DoneOn is { } on ? Day(on) : ""
            )),
            .. of.Floor.Linings.Select(l => new DossierRow(
                l.Value.Name,
                $"{Words(l.Value.Sheet.Material)} {of.Lengths.Text(l.Value.Sheet.ThickMm)}, {Words(l.Value.State)}",
                PanelWords.Title(of.PanelOf(l).Value)
            )),
        ];
        return rows.Length == 0 ? [] : [new DossierItem("", [], rows, null, [])];
    }

    private static DossierItem[] Joints(VehicleSnapshot of) =>
        [
            .. of.Joints.Select(j => new DossierItem(
                j.Value.Name,
                [.. Said(j.Value.Notes)],
                [
                    .. j.Value.History.Select(e => new DossierRow(
                        Day(e.On),
                        $"{Words(e.Kind)}{(e.Family is { } family ? $", {Words(family)}" : "")}",
                        $"{e.Product} {e.By}".Trim()
                    )),
                ],
                null,
                []
            )),
        ];

    private static DossierItem[] Looked(VehicleSnapshot of, VehicleNow at) =>
        of.Water.Observations.Count == 0
            ? []
            :
            [
                new DossierItem(
                    "",
                    [],
                    [
                        .. of
                            .Water.Observations.OrderBy(o => o.Value.SeenAt)
                            .Select(o => new DossierRow(
                                $"{Day(at, o.Value.SeenAt)} {Words(o.Value.Kind)}",
                                PanelWords.Title(of.PanelOf(o).Value),
                                string.Join(
                                    ", ",
                                    new[]
                                    {
                                        o.Value.Wet switch
                                        {
                                            true => "wet",
                                            false => "dry",
                                            null => "",
                                        },
                                        o.Value.MoisturePercent is { } percent ? string.Create(CultureInfo.InvariantCulture, $"{percent:0.#} %") : "",
                                        o.Value.SeenBy,
                                    }.Where(t => t.Length > 0)
                                )
                            )),
                    ],
                    null,
                    []
                ),
            ];

    private static DossierItem[] Work(VehicleSnapshot of, VehicleNow at) =>
        [
            .. of
                .Done.Values()
                .GroupBy(d => d.Job)
                .Select(job => new DossierItem(
                    JobToDo.Of(of, job.Key)?.Name ?? "A job that is gone",
                    [],
                    [
                        .. job.OrderBy(d => d.At)
                            .Select(d => new DossierRow(
                                $"{Day(at, d.At)} {at.On.Local(d.At):HH:mm}",
                                d.Title,
                                $"{d.Report.By}{(d.Report.Minutes is { } m ? string.Create(CultureInfo.InvariantCulture, $", {m:0} min") : "")}"
                            )),
                    ],
                    null,
                    []
                )),
        ];

    private static DossierItem[] Upkeep(VehicleSnapshot of, DateTimeOffset now) =>
        [
            new DossierItem(
                "",
                [],
                [
                    .. UpkeepOfVehicle
                        .Of(of, now)
                        .Select(l => new DossierRow(
                            l.What,
                            l.Due is { } due ? $"due {Day(due)}"
                                : l.State == UpkeepState.Over ? "done"
                                : "never written down",
                            l.Last is { } last ? $"last {Day(last)}" : ""
                        )),
                ],
                null,
                []
            ),
        ];

    private static DossierItem[] Masses(Vehicle vehicle)
    {
        string Kg(double kg) => string.Create(CultureInfo.InvariantCulture, $"{kg:0} kg");
        DossierRow[] rows =
        [
            .. new (string What, double? Kg)[]
            {
                ("Ready to drive", vehicle.Masses?.KerbKg),
                ("Permitted", vehicle.Masses?.PermittedKg),
                ("Front axle, permitted", vehicle.Masses?.FrontAxleKg),
                ("Rear axle, permitted", vehicle.Masses?.RearAxleKg),
            }
                .Where(m => m.Kg is not null)
                .Select(m => new DossierRow(m.What, Kg(m.Kg!.Value), "")),
        ];
        return rows.Length == 0 ? [] : [new DossierItem("", [], rows, null, [])];
    }

    private static DossierItem[] Mind(VehicleSnapshot of)
    {
        string[] overruled =
        [
            .. of
                .Done.Values()
                .Where(d => d.Report.Overruled is not null)
                .Select(d => $"{d.Title}: went on against what the steps say, since: {d.Report.Overruled} ({d.Report.By})."),
        ];
        return
        [
            new DossierItem(
                "",
                [
                    .. overruled,
                    "Gas, mains electricity, and whatever holds people, wheels or the body together are licensed work: ask for its papers.",
                    "The figures are those that the people who did the work wrote down. Local rules decide what is allowed.",
                ],
                [],
                null,
                []
            ),
        ];
    }

    /// <summary>When a job was worked on, and by whom; nothing where nobody wrote it down.</summary>
    private static IEnumerable<string> Steps(VehicleSnapshot of, VehicleNow at, Job job)
    {
        Bench.StepDone[] done = [.. of.DoneOf(job).Values.OrderBy(d => d.At)];
        if (done.Length > 0)
            yield return $"Worked on from {Day(at, done[0].At)} to {Day(at, done[^1].At)} by "
                + $"{string.Join(", ", done.Select(d => d.Report.By).Distinct(StringComparer.Ordinal))}.";
    }

    private static string LastLaid(Joint joint) =>
        joint.History.LastOrDefault(e => e.Kind == JointEventKind.Sealed) is { } laid ? $"{Day(laid.On)} {laid.Product}".Trim() : "";

    private static string[] Said(string? text) => string.IsNullOrWhiteSpace(text) ? [] : [text];

    private static string Day(DateOnly on) => on.ToString("d MMM yyyy", CultureInfo.InvariantCulture);

    private static string Day(VehicleNow at, DateTimeOffset moment) => Day(DateOnly.FromDateTime(at.On.Local(moment).DateTime));

    private static string Words<T>(T value)
        where T : struct, Enum => RowWords.Spoken(value);
}
