using Abri.Core.Geometry;
using Abri.Core.Load;
using Abri.Core.Shell;
using Abri.Core.Work;

namespace Abri.Core.Stages;

/// <summary>What a vehicle weighs in one state, and what the rules say of it.</summary>
internal static class LoadCases
{
    /// <summary>Above this share of a limit there is little left: assumption.</summary>
    private const double Little = 0.95;

    /// <summary>Least share on a steered axle: from memory of the EU's rules for masses and dimensions.</summary>
    private const double LeastSteered = 0.2;

    /// <summary>Least and most of a trailer's mass on its coupling: common practice.</summary>
    private const double LeastOnCoupling = 0.04,
        MostOnCoupling = 0.1;

    /// <summary>Most by which the sides differ, as a share of what stands on the wheels: assumption.</summary>
    private const double MostAside = 0.08;

    /// <summary>By how much of the kerb mass a weighbridge may differ from the papers, or from itself, before it is doubted: assumption.</summary>
    private const double Doubted = 0.15;

    /// <summary>A vehicle that tips below this share of its weight, pulled sideways, is handled as top-heavy: assumption.</summary>
    private const double TopHeavy = 0.6;

    public static LoadCase Of(
        Vehicle vehicle,
        Gear? gear,
        WeighedBase? known,
        LoadPlace? baseAt,
        IReadOnlyList<LoadLine> lines,
        LoadState state,
        bool planned,
        LengthFormat lengths
    )
    {
        PlacedMass[] aboard =
        [
            .. lines.Where(l => planned || l.Item.IsIn).Select(l => new PlacedMass(l.Item.Name, l.Item.In(state), l.Item.At)).Where(p => p.Kg != 0),
        ];
        double added = aboard.Sum(p => p.Kg);
        double? total = known is { KnowsTotal: true } ? known.On.FrontKg + known.On.RearKg + added : null;
        OnAxles? on =
            gear is not null && baseAt is { } at
                ? AxleLoads.Of(gear, [new PlacedMass("Base", known!.On.FrontKg + known.On.RearKg, at), .. aboard]).Result
                : null;
        double? height = vehicle.Masses is { KerbHeightMm: not null, FloorHeightMm: { } floor } ? on?.Centre?.ZMm + floor : null;
        return new LoadCase(
            state,
            planned,
            added,
            total,
            on,
            height,
            [.. Doubt(vehicle, known), .. Rows(vehicle, gear, total, on, height, lines, state, planned, lengths)]
        );
    }

    private static IEnumerable<Judgement> Rows(
        Vehicle vehicle,
        Gear? gear,
        double? total,
        OnAxles? on,
        double? height,
        IReadOnlyList<LoadLine> lines,
        LoadState state,
        bool planned,
        LengthFormat lengths
    )
    {
        Masses? masses = vehicle.Masses;
        if (total is { } all && masses?.PermittedKg is { } permitted)
            yield return Limit(
                "load-total",
                "Whole vehicle",
                all,
                permitted,
                "Heavier than permitted it brakes longer, breaks springs and tyres, and is not insured.",
                "Take something out, or look at the ways to get lighter."
            );
        if (on is null || gear is null)
            yield break;
        double frontRoom = masses?.FrontAxleKg - on.FrontKg ?? double.PositiveInfinity,
            rearRoom = masses?.RearAxleKg - on.RearKg ?? double.PositiveInfinity;
        (string front, string rear) = gear.IsTrailer ? ("Coupling", "Axle") : ("Front axle", "Rear axle");
        if (masses?.FrontAxleKg is { } frontLimit)
            yield return Limit(
                "load-front",
                front,
                on.FrontKg,
                frontLimit,
                "Springs, tyres and brakes of an axle are made for its own limit.",
                Shift(gear, lines, on.FrontKg - frontLimit, rearRoom, toRear: true, state, planned, lengths)
            );
        if (masses?.RearAxleKg is { } rearLimit)
            yield return Limit(
                "load-rear",
                rear,
                on.RearKg,
                rearLimit,
                "Springs, tyres and brakes of an axle are made for its own limit.",
                Shift(gear, lines, on.RearKg - rearLimit, frontRoom, toRear: false, state, planned, lengths)
            );
        yield return gear.IsTrailer
            ? Coupling(on, gear, lines, frontRoom, rearRoom, state, planned, lengths)
            : Steered(on, gear, lines, frontRoom, state, planned, lengths);
        if (on is { LeftKg: { } left, RightKg: { } right })
            yield return Sides(left, right);
        if (height is { } h && gear.TrackMm is { } track && on.Centre is { } centre)
            yield return Tipping(h, track, Math.Abs(centre.YMm));
    }

    /// <summary>A weighbridge that is far from the papers or from itself: a figure was mistyped, and nothing that follows can be trusted.</summary>
    private static IEnumerable<Judgement> Doubt(Vehicle vehicle, WeighedBase? known)
    {
        double kerb = vehicle.Masses?.KerbKg ?? known?.On.FrontKg + known?.On.RearKg ?? 0,
            apart = Math.Max(Math.Abs(known?.MoreKg ?? 0), known?.WorstKg ?? 0);
        if (known is not null && (apart > Math.Abs(kerb) * Doubted || known.On.FrontKg < 0 || known.On.RearKg < 0))
            yield return new(
                "load-base",
                JudgementState.Blocked,
                "Weighbridge and papers",
                Math.Round(apart, 1),
                Math.Round(Math.Abs(kerb) * Doubted, 1),
                Unit.Kg,
                "They are further apart than they can well be (limit: assumption): everything below counts on them.",
                "Look at the figures of the weighbridge, in which state it was weighed, and what is ticked as in.",
                []
            );
    }

    private static Judgement Limit(string id, string title, double kg, double limit, string why, string remedy) =>
        new(
            id,
            kg > limit + 0.05 ? JudgementState.Blocked
                : kg > limit * Little ? JudgementState.NeedsWork
                : JudgementState.Good,
            title,
            Math.Round(kg, 1),
            limit,
            Unit.Kg,
            why,
            kg > limit + 0.05 ? $"{kg - limit:0} kg too much. {remedy}"
                : kg > limit * Little ? $"Only {limit - kg:0} kg are left."
                : null,
            []
        );

    /// <summary>Which way what mass is moved so that an axle comes down by so much: the heaviest thing that can be moved, and how far.</summary>
    private static string Shift(
        Gear gear,
        IReadOnlyList<LoadLine> lines,
        double overKg,
        double roomKg,
        bool toRear,
        LoadState state,
        bool planned,
        LengthFormat lengths
    )
    {
        string other = toRear ? "front" : "rear";
        if (overKg > roomKg)
            return $"The other axle has no room for that: take something out at the {other}.";
        LoadItem? heaviest = lines
            .Where(l => l.Source == LoadSource.Own && (planned || l.Item.IsIn) && !l.Item.TakenOut && l.Item.Kind != LoadKind.Person)
            .Select(l => l.Item)
            .Where(i => i.In(state) > 0)
            .MaxBy(i => i.In(state));
        if (heaviest is null || overKg <= 0)
            return $"Take something out at the {other}.";
        double byMm = Math.Ceiling(overKg * gear.WheelbaseMm / heaviest.In(state) / 10) * 10;
        return byMm <= gear.WheelbaseMm
            ? $"Move {heaviest.Name} ({heaviest.In(state):0} kg) {lengths.Amount(byMm)} to the {(toRear ? "rear" : "front")}, "
                + $"or take something out at the {other}."
            : $"Moving {heaviest.Name} is not enough: take something out at the {other}.";
    }

    private static Judgement Steered(
        OnAxles on,
        Gear gear,
        IReadOnlyList<LoadLine> lines,
        double frontRoom,
        LoadState state,
        bool planned,
        LengthFormat lengths
    )
    {
        double least = on.TotalKg * LeastSteered;
        bool light = on.FrontKg < least;
        return new(
            "load-steering",
            light ? JudgementState.Blocked : JudgementState.Good,
            "Weight on the steered wheels",
            Math.Round(on.FrontKg, 1),
            Math.Round(least, 1),
            Unit.Kg,
            "With less than a fifth of the mass on them, steered wheels neither steer nor brake (from memory of the rules for masses).",
            light ? Shift(gear, lines, least - on.FrontKg, frontRoom, toRear: false, state, planned, lengths) : null,
            []
        );
    }

    private static Judgement Coupling(
        OnAxles on,
        Gear gear,
        IReadOnlyList<LoadLine> lines,
        double frontRoom,
        double rearRoom,
        LoadState state,
        bool planned,
        LengthFormat lengths
    )
    {
        (double least, double most) = (on.TotalKg * LeastOnCoupling, on.TotalKg * MostOnCoupling);
        (JudgementState judged, string? remedy) =
            on.FrontKg < 0
                ? (
                    JudgementState.Blocked,
                    $"It lifts the towing vehicle. {Shift(gear, lines, least - on.FrontKg, frontRoom, toRear: false, state, planned, lengths)}"
                )
            : on.FrontKg < least
                ? (
                    JudgementState.Blocked,
                    $"It will sway. {Shift(gear, lines, least - on.FrontKg, frontRoom, toRear: false, state, planned, lengths)}"
                )
            : on.FrontKg > most
                ? (JudgementState.NeedsWork, $"Much. {Shift(gear, lines, on.FrontKg - most, rearRoom, toRear: true, state, planned, lengths)}")
            : (JudgementState.Good, (string?)null);
        return new(
            "load-coupling",
            judged,
            "Share on the coupling",
            Math.Round(on.FrontKg, 1),
            Math.Round(on.FrontKg > most ? most : least, 1),
            Unit.Kg,
            "A trailer runs straight with 4 to 10 % of its mass on the coupling (common practice); coupling and towing vehicle have limits too.",
            remedy,
            []
        );
    }

    private static Judgement Sides(double left, double right)
    {
        double apart = Math.Abs(left - right),
            most = (left + right) * MostAside;
        return new(
            "load-sides",
            apart > most ? JudgementState.NeedsWork : JudgementState.Good,
            "Left and right wheels",
            Math.Round(apart, 1),
            Math.Round(most, 1),
            Unit.Kg,
            "A vehicle that leans brakes unevenly and steers to one side (limit: assumption).",
            apart > most ? $"{apart:0} kg more on the {(left > right ? "left" : "right")}: put something heavy on the other side." : null,
            []
        );
    }

    /// <summary>How hard a pull sideways it stands as a rigid body: half the track, less what the centre lies aside, by the height.</summary>
    private static Judgement Tipping(double heightMm, double trackMm, double asideMm)
    {
        double stands = ((trackMm / 2) - asideMm) / heightMm;
        return new(
            "load-height",
            stands < TopHeavy ? JudgementState.NeedsWork : JudgementState.Good,
            "Pull sideways before it tips",
            Math.Round(stands * 100),
            TopHeavy * 100,
            Unit.Percent,
            "Half the track by the height of the centre of mass, as a share of the weight. Springs and tyres give: in truth it tips sooner "
                + "(limit: assumption).",
            stands < TopHeavy ? "It is top-heavy: heavy things low, nothing heavy on the roof, slow through bends and in side wind." : null,
            []
        );
    }
}
