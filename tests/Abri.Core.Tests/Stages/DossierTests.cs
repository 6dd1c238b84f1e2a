using Abri.Core.Bench;
using Abri.Core.Geometry;
using Abri.Core.Metal;
using Abri.Core.Openings;
using Abri.Core.Record;
using Abri.Core.Shell;
using Abri.Core.Stages;
using Abri.Core.Water.Leaks;
using Abri.Core.Work;
using static Abri.Core.Tests.Days.OpenShellWork;

namespace Abri.Core.Tests.Stages;

public class DossierTests
{
    private static Finding Rust(FindingState state) =>
        new(
            $"Rust {state}",
            FindingKind.SurfaceRust,
            FindingShape.Point,
            [new PanelPoint(50, 50)],
            ViewedFrom.Outside,
            Severity.Minor,
            new FindingMeasures(null, null, null, null),
            state,
            "Ida",
            Monday,
            ""
        );

    private static VehicleSnapshot Van()
    {
        Repair repair = Repair.At("Sill", RepairKind.Leave, FindingShape.Point, [new(50, 50)]) with
        {
            State = RepairState.Watch,
            DoneOn = new DateOnly(2031, 5, 1),
            FindingIds = ["f0"],
        };
        Observation dry = new(ObservationKind.Rain, new PanelPoint(10, 10), Monday, false, null, null, null, null, null, "Ida", "");
        VehicleSnapshot van = Vans.Of(
            [repair],
            [Rust(FindingState.Done), Rust(FindingState.Watch)],
            observations: [dry],
            openings: [DaysOfVehicleTests.At(OpeningState.Planned)],
            fitting: DaysOfVehicleTests.Grille,
            forecast: Fine()
        );
        StepReport said = new("t", "Ada", 25, [], null, "The maker says so", "", "");
        StepDone step = new(new Job(JobKind.Opening, "o0"), "mark", "Mark out", ShellChange.None, Monday.AddHours(9), new Minutes(1, 2, 3), said);
        return van with
        {
            Done = [new Stored<StepDone>("d0", 1, "v", step)],
            Photos =
            [
                new Stored<Photo>("ph0", 1, "f0", new Photo("aa", "image/png", 9, "")),
                new Stored<Photo>("ph1", 1, "f1", new Photo("bb", "image/png", 9, "")),
            ],
        };
    }

    private static DossierItem[] Part(Dossier dossier, string title) => [.. dossier.Parts.Single(p => p.Title == title).Items];

    [Fact]
    public void Everything_that_is_known_stands_in_its_part_and_a_part_of_nothing_is_left_out()
    {
        Dossier dossier = Dossier.Of(Van(), Monday.AddHours(10));
        Assert.Equal(("Van", "panel van", new DateOnly(2031, 5, 12)), (dossier.Vehicle, dossier.About, dossier.On));
        Assert.Equal(
            [
                "The shell",
                "Openings",
                "Repairs",
                "Looked at for water",
                "Findings that are open or watched",
                "Work as it was done",
                "To look after",
                "Mind",
            ],
            dossier.Parts.Select(p => p.Title)
        );
        Assert.Equal(["Rust Watch"], Part(dossier, "Findings that are open or watched").Select(i => i.Title));
        DossierItem sill = Assert.Single(Part(dossier, "Repairs"));
        Assert.Equal("aa", Assert.Single(sill.Photos).Sha256);
        Assert.Contains("To be looked at again by 1 Nov 2031.", sill.Lines);
        Assert.Equal(
            new DossierRow("12 May 2031 09:00", "Mark out", "Ada, 25 min"),
            Assert.Single(Assert.Single(Part(dossier, "Work as it was done")).Rows)
        );
        Assert.Contains(Part(dossier, "Mind")[0].Lines, l => l.Contains("since: The maker says so (Ada)", StringComparison.Ordinal));
        Assert.Contains("Worked on from 12 May 2031 to 12 May 2031 by Ada.", Assert.Single(Part(dossier, "Openings")).Lines);
    }

    [Fact]
    public void A_hole_is_told_as_planned_and_as_cut_with_what_follows()
    {
        VehicleSnapshot van = Van();
        Frame frame = Frame.Of(DaysOfVehicleTests.Grille, 0);
        double width = frame.CutOut.WidthMm,
            height = frame.CutOut.HeightMm,
            diagonal = Math.Sqrt((width * width) + (height * height)) - (2 * frame.CutOut.CornerLossMm);
        Opening cut = van.Openings[0].Value with { State = OpeningState.Cut, AsCut = new AsCut(width, width, height, height, diagonal, diagonal) };
        DossierItem item = Assert.Single(Part(Dossier.Of(van with { Openings = [van.Openings[0] with { Value = cut }] }, Monday), "Openings"));
        Assert.Equal(["Fitting", "Planned", "As cut", "", ""], item.Rows.Select(r => r.What));
        Assert.Equal("cut", item.Rows[1].Second);
        AsBuilt built = Assert.Single(AsBuilt.Of(van with { Openings = [van.Openings[0] with { Value = cut }] }));
        Assert.Equal(built.Fit!.Advice, item.Lines[0]);
        Assert.Empty(AsBuilt.Of(van));
        // Readings that no hole has are said to be so, and lose nothing else.
        Opening odd = cut with { AsCut = cut.AsCut! with { RisingDiagonalMm = 5 * diagonal } };
        AsBuilt wrong = Assert.Single(AsBuilt.Of(van with { Openings = [van.Openings[0] with { Value = odd }] }));
        Assert.Null(wrong.Fit);
        Assert.NotEmpty(wrong.Trouble!);
    }

    [Fact] // The left side from outside has its front at the left, the right side at the right: by hand
    public void A_panel_is_drawn_as_one_sees_it_from_outside()
    {
        Drawing Of(PanelKind kind)
        {
            var panel = new Panel(kind, new PanelBox(0, 2000, 0, 1500).Corners, 1, SkinMaterial.MildSteel);
            return Assert.Single(Part(Dossier.Of(Vans.Of([], [], panel: panel), Monday), "The shell")).Picture!;
        }
        Assert.Equal((0, 2000), (Of(PanelKind.Left).Bounds.SMinMm, Of(PanelKind.Left).Bounds.SMaxMm));
        Assert.Equal((-2000, 0), (Of(PanelKind.Right).Bounds.SMinMm, Of(PanelKind.Right).Bounds.SMaxMm));
    }
}
