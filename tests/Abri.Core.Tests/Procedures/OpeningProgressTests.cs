using Abri.Core.Geometry;
using Abri.Core.Openings;
using Abri.Core.Procedures;
using Abri.Core.Sealing;
using Abri.Core.Shell;

namespace Abri.Core.Tests.Procedures;

/// <summary>The whole way of an opening, one thing done after another, as a person does it.</summary>
public class OpeningProgressTests
{
    private static readonly Schools Schools = new(RibInTheWay.Keep, CutSize.WasteSide);
    private static readonly PanelPoint Middle = new(892.5, 0);
    private static readonly Opening Planned = new("Vent", "f", Middle, 0, null, Schools, OpeningState.Planned, null, "");
    private static readonly AsCut Square = new(400, 400, 400, 400, Diagonal, Diagonal);

    private static readonly Joint Joint = new(
        "Vent: flange",
        JointKind.RoofFlange,
        1900,
        Substrate.PaintedMetal,
        Substrate.PlasticFrame,
        3,
        0,
        false,
        true,
        false,
        false,
        false,
        true,
        new JointOf(JointOfKind.Opening, "vent"),
        null,
        [],
        ""
    );

    /// <summary>From arc to arc of a 400 square with corners of 20.</summary>
    private static double Diagonal => (400 * Math.Sqrt(2)) - (2 * 20 * (Math.Sqrt(2) - 1));

    [Fact]
    public void A_vent_goes_from_its_place_to_the_end_one_step_at_a_time()
    {
        Expect(Planned with { Centre = new PanelPoint(620, 0) }, null, "Find another place", NextPlace.Place);
        Expect(Planned, null, "Choose what seals it", NextPlace.Sealing);
        Joint chosen = Joint with { ProductId = "butyl" },
            laid = chosen with { History = [Event(JointEventKind.Sealed)] };
        Expect(Planned, chosen, "Mark it out, then cut", NextPlace.MarkOut);
        Opening cut = Planned with { State = OpeningState.Cut };
        Expect(cut, chosen, "Measure the hole", NextPlace.AsCut);
        Expect(cut with { AsCut = Square with { TopWidthMm = 390, BottomWidthMm = 390 } }, chosen, "Open the hole up", NextPlace.AsCut);
        Expect(cut with { AsCut = new AsCut(460, 460, 460, 460, 634, 634) }, chosen, "too big", NextPlace.AsCut);
        Opening measured = cut with { AsCut = Square };
        Expect(measured, chosen, "Bed and seal it", NextPlace.Sealing);
        Expect(measured, laid, "Test it with water", NextPlace.AsCut);
        Opening fitted = measured with { State = OpeningState.Fitted };
        Expect(fitted, chosen, "Write down what sealed it", NextPlace.Sealing);
        Expect(fitted, laid, "", NextPlace.Sealing);
        // Stripped again, it is not sealed any more.
        Expect(fitted, laid with { History = [.. laid.History, Event(JointEventKind.Stripped)] }, "Write down what sealed it", NextPlace.Sealing);
    }

    [Fact]
    public void A_clamped_one_asks_for_its_wall_its_lugs_and_its_screws()
    {
        Fitting clamped = Roofs.Vent() with
        {
            Kind = FittingKind.HingedWindow,
            Screws = null,
            Clamp = new ClampRange(20, 60),
            Halves = new Halves(60, 2, 8, [], null),
        };
        Joint chosen = Joint with { ProductId = "butyl" };
        Expect(Planned, chosen, "Measure the wall", NextPlace.Settings, clamped);
        Opening measured = Planned with { State = OpeningState.Cut, AsCut = Square, WallMm = 30 };
        Expect(measured, chosen, "Trim the lugs, 0 of 2", NextPlace.Clamp, clamped);
        Expect(measured with { Clamp = Clamped(1, 0) }, chosen, "Trim the lugs, 1 of 2", NextPlace.Clamp, clamped);
        Expect(measured with { Clamp = Clamped(2, 1) }, chosen, "Clamp it, 1 of 2", NextPlace.Clamp, clamped);
        Expect(measured with { Clamp = Clamped(2, 2) }, chosen, "Bed and seal it", NextPlace.Sealing, clamped);
        Fitting four = clamped with { Halves = clamped.Halves! with { ScrewPlaces = [new(0, 230), new(0, -230), new(230, 0), new(-230, 0)] } };
        Expect(measured with { Clamp = Clamped(2, 2) }, chosen, "Clamp it, 2 of 4", NextPlace.Clamp, four);
    }

    [Fact]
    public void A_pane_is_bonded_and_what_cannot_be_judged_says_why()
    {
        Fitting glass = Roofs.Vent() with { Kind = FittingKind.BondedWindow, Screws = null, Bonded = new Bonded(Pane.Glass, 18) };
        Expect(Planned, null, "Choose what seals it", NextPlace.Bond, glass);
        Expect(
            Planned with
            {
                State = OpeningState.Cut,
                AsCut = Square,
            },
            Joint with
            {
                ProductId = "polyurethane",
            },
            "Lay the bead",
            NextPlace.Bond,
            glass
        );
        OpeningStanding broken = OpeningProgress.Of(Planned, new Site(Roofs.Flat(), [], glass with { LeastLapMm = 300 }), null);
        Assert.Equal(("Cannot be judged", NextPlace.Place), (broken.Summary, broken.Where));
        Assert.Contains("lap", broken.Reason);
    }

    private static ClampWork Clamped(int trimmed, int tight) =>
        new([], [.. Enumerable.Range(0, 2).Select(i => i < trimmed)], [.. Enumerable.Range(0, tight)], [], []);

    private static JointEvent Event(JointEventKind kind) => new(new DateOnly(2026, 5, 1), kind, ProductFamily.ButylTape, "", "");

    private static void Expect(Opening opening, Joint? joint, string next, NextPlace where, Fitting? fitting = null)
    {
        OpeningStanding standing = OpeningProgress.Of(
            opening,
            new Site(Roofs.Flat(), Roofs.Bows(), fitting ?? Roofs.Vent(), WallMm: opening.WallMm),
            joint
        );
        Assert.Equal(where, standing.Where);
        if (next.Length == 0)
            Assert.Empty(standing.Next);
        else
            Assert.Contains(next, standing.Next);
    }
}
