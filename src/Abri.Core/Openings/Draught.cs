using Abri.Core.Declared;
using Abri.Core.Geometry;
using Abri.Core.Shell;
using Abri.Core.Work;

namespace Abri.Core.Openings;

/// <summary>Something that moves or lets through air.</summary>
/// <param name="Name">What people call it.</param>
/// <param name="Place">Where it is in plan, in the vehicle: along and across, mm.</param>
/// <param name="FlowM3h">What its fan moves, m3/h; 0 without one.</param>
/// <param name="FreeAreaMm2">Free area that cannot be shut, mm2.</param>
/// <param name="High">Whether it is high up, in the roof or just below it.</param>
/// <param name="Low">Whether it is low down, at the floor; null where it is if it is not high. What lies between counts for neither.</param>
public sealed record AirWay(
    [Name] string Name,
    PanelPoint Place,
    [Within(0, 5000, "What a fan moves", "m3/h")] double FlowM3h,
    [Within(0, 1_000_000, "A free area", "mm2")] double FreeAreaMm2,
    bool High,
    bool? Low = null
)
{
    /// <summary>An opening in a wall counts as low down where its upper edge lies no more than this above the floor, mm: EN 721, from
    /// memory.</summary>
    public const double LowBelowMm = 100;

    /// <summary>An opening in a wall counts as high up from this share of the wall's height: assumption.</summary>
    public const double HighFromShare = 0.75;

    internal bool IsLow => Low ?? !High;

    /// <summary>An opening as a way of air; null where nothing passes it.</summary>
    /// <param name="name">What people call it.</param>
    /// <param name="panel">Its panel.</param>
    /// <param name="fitting">What is fitted, turned as it is placed.</param>
    /// <param name="centre">Where its centre lies on the panel.</param>
    public static AirWay? Of(string name, Panel panel, Fitting fitting, PanelPoint centre)
    {
        if (fitting.Air is not { } air)
            return null;
        PanelBox hole = fitting.CutOut.BoxAt(centre),
            wall = panel.Box;
        (bool high, bool low) = panel.Facing switch
        {
            Facing.Up => (true, false),
            Facing.Down => (false, true),
            _ => (hole.TMinMm >= wall.TMinMm + (HighFromShare * wall.HeightMm), hole.TMaxMm <= LowBelowMm),
        };
        PanelPoint plan = panel.Facing switch
        {
            Facing.Up or Facing.Down => centre,
            // What lies in a side lies at the middle line as far as a draught is concerned.
            Facing.Left or Facing.Right => new PanelPoint(centre.SMm, 0),
            Facing.Rear => new PanelPoint(RearMm, centre.SMm),
            _ => new PanelPoint(0, centre.SMm),
        };
        return new AirWay(name, plan, air.FlowM3h, air.FreeAreaMm2, high, low);
    }

    private const double RearMm = 1e4;
}

/// <summary>Where damp, smoke or dust arises.</summary>
/// <param name="Name">What people call it: galley, glaze bench, shower.</param>
/// <param name="Place">Where it is in plan, mm.</param>
public sealed record AirSource([Name] string Name, PanelPoint Place)
{
    /// <summary>A zone in which damp, smoke or dust arises; null for others.</summary>
    public static AirSource? Of(Zone zone) =>
        zone.Kind is ZoneKind.Galley or ZoneKind.Shower or ZoneKind.Bench or ZoneKind.Stove
            ? new AirSource(zone.Name, new PanelPoint((zone.XMinMm + zone.XMaxMm) / 2, (zone.YMinMm + zone.YMaxMm) / 2))
            : null;
}

/// <summary>What moves the air of a vehicle.</summary>
/// <param name="Draws">The way that should draw out; null where no fan is there.</param>
/// <param name="BlowsIn">The way through which air should come in; null where there is no other.</param>
/// <param name="AirChangesPerHour">Air changes an hour with both running.</param>
/// <param name="HighMm2">Fixed free area high up, mm2.</param>
/// <param name="HighNeededMm2">What is asked for high up, mm2.</param>
/// <param name="LowMm2">Fixed free area low down, mm2.</param>
/// <param name="LowNeededMm2">What is asked for low down, mm2.</param>
/// <param name="State">Whether that is enough.</param>
/// <param name="Verdict">What to do.</param>
/// <param name="Cautions">What must be known where gas burns.</param>
public sealed record AirPlan(
    string? Draws,
    string? BlowsIn,
    double AirChangesPerHour,
    double HighMm2,
    double HighNeededMm2,
    double LowMm2,
    double LowNeededMm2,
    JudgementState State,
    string Verdict,
    IReadOnlyList<string> Cautions
);

/// <summary>Says which vent should draw and which blow, how often the air is changed, and whether enough ventilation cannot be shut.</summary>
/// <remarks>
/// The fan nearest to where damp or dust arises draws out; air comes in at the way furthest from it that lets any in, so that the draught sweeps the
/// whole length. Of two fans the weaker decides. A fan with a passive inlet moves what both agree on: the fan's flow falls in a straight line from
/// its free flow to nothing at
/// <see cref="ClosedPa"/> (assumption), and an inlet of free area A passes Q = 0.6 A sqrt(2 dp / rho) (discharge through a sharp-edged orifice).
/// Without an inlet nothing moves.
/// Fixed free area by floor area: the steps of EN 721, values from memory; look them up before gas is fitted.
/// </remarks>
/// <example>12 m3, a fan of 150 m3/h drawing and one of 120 blowing: 10 air changes an hour. A fan of 900 m3/h on a hole of 300 mm2: 5.8 m3/h, at
/// nearly its closed pressure.</example>
public static class Draught
{
    /// <summary>Pressure at which a small fan moves nothing, Pa: assumption where its sheet is silent.</summary>
    public const double ClosedPa = 50;

    /// <summary>Share of an orifice's area that the flow fills.</summary>
    public const double Discharge = 0.6;

    private const double AirKgPerM3 = 1.2,
        SecondsPerHour = 3600;

    /// <summary>Free area by floor area, EN 721, from memory: up to so many m2, high up and low down in mm2.</summary>
    private static readonly (double FloorM2, double HighMm2, double LowMm2)[] Fixed =
    [
        (5, 7500, 1000),
        (10, 10_000, 1500),
        (15, 12_500, 2000),
        (20, 15_000, 3000),
        (double.PositiveInfinity, 20_000, 5000),
    ];

    private static readonly string[] Cautions =
    [
        "Gas, stoves and heaters: an alarm for carbon monoxide, and fixed ventilation that nobody can shut, low down as well as "
            + "high up. Gas that escapes sinks: it needs a way out at the floor.",
        "A fan that draws can pull flue gas back into the vehicle: open a way in before it runs while anything burns.",
        "Local rules and licensed practice come first where gas is concerned.",
    ];

    /// <summary>The plan.</summary>
    /// <param name="ways">What moves or lets through air.</param>
    /// <param name="sources">Where damp or dust arises; may be empty.</param>
    /// <param name="volumeM3">Volume of the inside, m3.</param>
    /// <param name="floorAreaM2">Floor area, m2.</param>
    public static Result<Worked<AirPlan>> Of(IReadOnlyList<AirWay> ways, IReadOnlyList<AirSource> sources, double volumeM3, double floorAreaM2)
    {
        if (volumeM3 <= 0)
            return new Problem("air-volume", "/volumeM3", "The volume of the inside must be more than 0 m3.");
        if (floorAreaM2 <= 0)
            return new Problem("air-floor", "/floorAreaM2", "The floor area must be more than 0 m2.");
        var sheet = new Worksheet();
        AirWay? draws = ways.Where(w => w.FlowM3h > 0)
            .OrderBy(w => sources.Count == 0 ? 0 : sources.Min(s => s.Place.DistanceMm(w.Place)))
            .ThenByDescending(w => w.FlowM3h)
            .FirstOrDefault();
        AirWay? blows = draws is null
            ? null
            : ways.Where(w => !ReferenceEquals(w, draws) && (w.FlowM3h > 0 || w.FreeAreaMm2 > 0))
                .OrderByDescending(w => w.Place.DistanceMm(draws.Place))
                .FirstOrDefault();
        // All that stands open lets air in, wherever it is; the fan's own opening lets it out.
        double inlet = draws is null ? 0 : ways.Where(w => !ReferenceEquals(w, draws)).Sum(w => w.FreeAreaMm2);
        double flow =
            draws is null || blows is null ? 0
            : blows.FlowM3h > 0 ? Math.Min(draws.FlowM3h, blows.FlowM3h)
            : Passive(draws.FlowM3h, inlet, sheet);
        sheet.Step(
            "Q",
            "air that passes",
            blows is { FlowM3h: > 0 } ? "the weaker of two fans"
                : blows is null ? "no way in, no flow"
                : "where fan and inlet agree",
            flow,
            "m3/h"
        );
        double changes = sheet.Step("n", "air changes", "Q / V", flow / volumeM3, "1/h");
        double high = sheet.Step("A_h", "fixed free area high up", "sum", ways.Where(w => w.High).Sum(w => w.FreeAreaMm2), "mm2"),
            low = sheet.Step("A_l", "fixed free area low down", "sum", ways.Where(w => w.IsLow).Sum(w => w.FreeAreaMm2), "mm2");
        (_, double highNeeded, double lowNeeded) = Fixed.First(f => floorAreaM2 <= f.FloorM2);
        sheet.Step("A_h,min", "asked for high up", "by floor area", highNeeded, "mm2");
        sheet.Step("A_l,min", "asked for low down", "by floor area", lowNeeded, "mm2");
        sheet.Cite(new Source("EN 721, fixed ventilation by floor area", SourceKind.FromMemory));
        sheet.Cite(new Source("Orifice: Q = 0.6 A sqrt(2 dp / rho), air 1.2 kg/m3", SourceKind.Published));
        sheet.Cite(
            new Source($"A fan's flow falls in a straight line to nothing at {ClosedPa:0} Pa where its sheet is silent", SourceKind.Assumption)
        );
        bool enough = high >= highNeeded && low >= lowNeeded;
        var words = new List<string>();
        if (draws is null)
            words.Add("No fan: air moves only by wind and warmth.");
        else
        {
            string near = sources.Count > 0 ? $", nearest to {sources.MinBy(s => s.Place.DistanceMm(draws.Place))!.Name}" : "";
            string way = blows switch
            {
                null => ". Nothing lets air in, so it moves none: open a window at the far end",
                { FlowM3h: > 0 } => $"; {blows.Name} blows in at the far end",
                _ => $"; air comes in at {blows.Name}",
            };
            words.Add($"{draws.Name} draws out{near}{way}: {changes:0.#} air changes an hour.");
        }
        if (blows is { FlowM3h: 0 } && flow < draws!.FlowM3h / 2)
            words.Add($"What stands open is too small for the fan: {flow:0} of {draws.FlowM3h:0} m³/h. Open a window while it runs.");
        if (high < highNeeded)
            words.Add($"You still need {highNeeded - high:0} mm² of permanent vent area high up.");
        if (low < lowNeeded)
            words.Add($"You still need {lowNeeded - low:0} mm² of permanent vent area low down.");
        return sheet.Finish(
            new AirPlan(
                draws?.Name,
                blows?.Name,
                changes,
                high,
                highNeeded,
                low,
                lowNeeded,
                enough ? JudgementState.Good : JudgementState.NeedsWork,
                string.Join(" ", words),
                Cautions
            )
        );
    }

    /// <summary>What a fan moves through a passive inlet, m3/h: (Q / k)^2 = dp_0 (1 - Q / Q_0), solved for Q.</summary>
    private static double Passive(double freeM3h, double inletMm2, Worksheet sheet)
    {
        // Flow through the inlet at 1 Pa, m3/h.
        double k = sheet.Step(
            "k",
            "what stands open passes at 1 Pa",
            "0.6 A sqrt(2 / rho) * 3600",
            Discharge * inletMm2 / 1e6 * Math.Sqrt(2 / AirKgPerM3) * SecondsPerHour,
            "m3/h"
        );
        double b = ClosedPa * k * k / freeM3h;
        double flow = (-b + Math.Sqrt((b * b) + (4 * ClosedPa * k * k))) / 2;
        sheet.Step("dp", "pressure across it", "dp_0 (1 - Q / Q_0)", ClosedPa * (1 - (flow / freeM3h)), "Pa");
        return flow;
    }
}
