using Abri.Core.Geometry;
using Abri.Core.Shell;

namespace Abri.Core.Sealing;

/// <summary>How one product suits a joint.</summary>
/// <param name="Product">Name of the product.</param>
/// <param name="Rank">1 for the best; null where it is ruled out.</param>
/// <param name="RuledOut">Why it must not be used; empty where it may.</param>
/// <param name="For">What speaks for it.</param>
/// <param name="Against">What it costs.</param>
public sealed record SealantRow(string Product, int? Rank, IReadOnlyList<string> RuledOut, IReadOnlyList<string> For, IReadOnlyList<string> Against);

/// <summary>Which products suit a joint.</summary>
/// <param name="Best">Name of the best product; null where all are ruled out.</param>
/// <param name="Rows">All products, the best first, those ruled out last.</param>
/// <param name="Preparation">What has to be done first: because of what was done to the joint before, then what every joint wants.</param>
/// <param name="OnceStripped">Name of the best product once the joint is stripped to bare material; null where that changes nothing.</param>
public sealed record SealantAdvice(string? Best, IReadOnlyList<SealantRow> Rows, IReadOnlyList<string> Preparation, string? OnceStripped);

/// <summary>Chooses what seals a joint: what must not be used, and the rest in order.</summary>
/// <remarks>
/// Hard exclusions first: what levels itself anywhere but flat, no adhesion to a side, more movement than it follows (stretch of a sheared bond:
/// <see cref="Shear"/>), acid on metal,
/// crazed acrylic, cannot be removed, cannot be painted, cannot carry, does not stand water, sun or the heat of the joint or of a skin in the sun
/// (<see cref="HotSkinC"/>), must not be laid in
/// today's air, and what was laid there before. A door's seal is a rubber profile: nothing is laid on it.
/// The rest are ranked by what they cost in points (<see cref="PrimerPoints"/> and the others: assumptions, in the open), ties by name. All of it is
/// common practice unless the product's data sheet says otherwise; the data sheet comes first.
/// </remarks>
/// <example>Galvanised seam in the sun: acetoxy silicone is ruled out, for its acid corrodes the zinc; polyurethane and silane-modified polymer
/// stay.</example>
public static class SealantChoice
{
    /// <summary>How hot a dark skin gets in the sun, C: assumption.</summary>
    public const double HotSkinC = 80;

    /// <summary>How cold a winter night gets, C: assumption.</summary>
    public const double ColdNightC = -20;

    /// <summary>Movement and class that are equal but for rounding suit each other, %.</summary>
    private const double HairPercent = 1e-6;

    private const int BrittlePoints = 3,
        PrimerPoints = 2,
        LittleReservePoints = 2,
        OtherSchoolPoints = 5,
        SiliconePoints = 3,
        StrongerThanNeededPoints = 1,
        GapPoints = 4;

    /// <summary>Ranks products for a joint.</summary>
    /// <param name="joint">The joint.</param>
    /// <param name="products">The products at hand.</param>
    /// <param name="bedding">The school for roof flanges.</param>
    /// <param name="airC">Temperature at which it is laid, C; null where that is open.</param>
    /// <param name="lengths">How lengths are written.</param>
    /// <param name="lies">How the joint lies; null where nobody said.</param>
    public static Result<Worked<SealantAdvice>> Of(
        Joint joint,
        IReadOnlyList<Product> products,
        FlangeBedding bedding,
        double? airC,
        LengthFormat lengths,
        JointLies? lies = null
    )
    {
        if (products.Count == 0)
            return new Problem("no-products", "/products", "There is no product to choose from. Add the ones you have, with their data sheets.");
        if (joint.GapMm <= 0 && joint.MovementMm > 0)
            return new Problem(
                "joint-without-width",
                "/joint/gapMm",
                "A joint that moves needs a width to move in: give its gap, or the thickness of its bond."
            );
        var sheet = new Worksheet();
        double strain =
            joint.MovementMm > 0
                ? sheet.Step(
                    "e",
                    joint.IsSheared ? "stretch of the sheared bond" : "movement against the width of the joint",
                    joint.IsSheared ? "sqrt(1 + (movement / thickness)^2) - 1" : "movement / gap",
                    joint.StretchPercent,
                    "%"
                )
                : 0;
        if (joint.IsSheared)
            sheet.Cite(Shear.Source);
        sheet.Cite(new Source("Movement classes 25, 20, 12.5 and 7.5 %: ISO 11600", SourceKind.FromMemory));
        sheet.Cite(new Source($"A dark skin in the sun gets to {HotSkinC:0} °C, a winter night to {ColdNightC:0} °C", SourceKind.Assumption));
        sheet.Cite(new Source("Exclusions and points of the ranking", SourceKind.CommonPractice));
        var judged = products
            .Select(p => (Product: p, Out: RuledOut(joint, p, strain, airC, lengths, lies), Judged: Weighed(joint, p, strain, bedding)))
            .ToList();
        foreach (var j in judged.Where(j => j.Out.Count == 0))
            sheet.Step($"P_{j.Product.Name}", $"points against {j.Product.Name}", "sum", j.Judged.Points, "");
        int rank = 0;
        SealantRow[] rows =
        [
            .. judged
                .Where(j => j.Out.Count == 0)
                .OrderBy(j => j.Judged.Points)
                .ThenBy(j => j.Product.Name, StringComparer.Ordinal)
                .Select(j => new SealantRow(j.Product.Name, ++rank, [], j.Judged.For, j.Judged.Against)),
            .. judged
                .Where(j => j.Out.Count > 0)
                .OrderBy(j => j.Product.Name, StringComparer.Ordinal)
                .Select(j => new SealantRow(j.Product.Name, null, j.Out, [], [])),
        ];
        string? best = rank > 0 ? rows[0].Product : null;
        string? stripped =
            joint.History.Count == 0 ? best : Of(joint with { History = [] }, products, bedding, airC, lengths, lies).Value?.Result.Best;
        if (products.Any(p => p.Known == SourceKind.Assumption))
            sheet.Warn("Some of these products have typical figures, not yet checked against a data sheet.");
        List<string> first = [.. JointHistory.Preparation(joint)];
        if (joint.Kind != JointKind.DoorSeal)
            first.AddRange(JointPreparation.Of(joint, products.FirstOrDefault(p => p.Name == best)));
        if (joint.HotC is { } hot && best is null)
            first.Add($"It gets to {hot:0} °C: take a sealant made for that heat, or a collar that needs none.");
        if (joint.Kind == JointKind.DoorSeal)
            first.Add("Renew the rubber profile, or adjust the door: see Water, door seals.");
        return sheet.Finish(new SealantAdvice(best, rows, first, stripped == best ? null : stripped));
    }

    /// <summary>Why a product must not be used for a joint; empty where it may.</summary>
    internal static IReadOnlyList<string> RuledOut(Joint joint, Product p, JointLies? lies) =>
        RuledOut(joint, p, joint.StretchPercent, null, LengthFormat.Millimetres, lies);

    private static List<string> RuledOut(Joint joint, Product p, double strain, double? airC, LengthFormat lengths, JointLies? lies)
    {
        var why = new List<string>();
        if (p.Family is ProductFamily.LapSealant or ProductFamily.SiliconeRoofCoating && lies is not (null or JointLies.Flat))
            why.Add(lies == JointLies.Upright ? "It levels itself, and runs off an upright joint." : "It levels itself, and drips from overhead.");
        if (joint.Kind == JointKind.DoorSeal)
            why.Add("A door's seal is a rubber profile: nothing is laid on it.");
        if (airC is { } air && Cure.NotAt(p, air) is { } notAt)
            why.Add(notAt);
        foreach (Substrate side in new[] { joint.One, joint.Other }.Distinct())
        {
            if (p.To(side) == Adhesion.None)
                why.Add($"Does not stick to {Words.Of(side)}.");
            if (
                p.Family == ProductFamily.AcetoxySilicone
                && side is (Substrate.BareSteel or Substrate.GalvanisedSteel or Substrate.Aluminium or Substrate.PaintedMetal)
            )
                why.Add(
                    side == Substrate.PaintedMetal
                        ? "Its acid corrodes the metal at every scratch of the paint."
                        : $"Its acid corrodes {Words.Of(side)}."
                );
            if (side is Substrate.Acrylic or Substrate.Polycarbonate && p.CracksAcrylic)
                why.Add($"Its solvent crazes {Words.Of(side)}.");
        }
        if (strain > p.MovementPercent + HairPercent)
            why.Add(
                joint.IsSheared
                    ? $"The joint slides by {lengths.Text(joint.MovementMm)}, which stretches the bond by {strain:0.#} %; this "
                        + $"follows {p.MovementPercent:0.#} %."
                    : $"The joint moves {lengths.Text(joint.MovementMm)}, {strain:0.#} % of its width; this follows {p.MovementPercent:0.#} %."
            );
        if (joint.RemovableLater && !p.Removable)
            why.Add("What it holds cannot be taken off again.");
        if (joint.PaintedOver && !p.Paintable)
            why.Add("Paint does not hold on it.");
        if (joint.Structural && !p.Structural)
            why.Add("It must not carry anything.");
        if (joint.StandingWater && !p.StandsWater)
            why.Add("It does not stand water that stays on it.");
        if (joint.Sun && !p.StandsSun)
            why.Add("The sun makes it brittle.");
        if (joint.HotC is { } hot && p.ServiceToC < hot)
            why.Add($"The joint gets to {hot:0} °C; this serves up to {p.ServiceToC:0.#} °C.");
        else if (joint.Sun && p.ServiceToC < HotSkinC)
            why.Add($"A dark skin in the sun gets to {HotSkinC:0} °C; this serves up to {p.ServiceToC:0.#} °C.");
        if (JointHistory.Forbids(joint, p) is { } before)
            why.Add(before);
        return why;
    }

    private static (int Points, List<string> For, List<string> Against) Weighed(Joint joint, Product p, double strain, FlangeBedding bedding)
    {
        (int points, List<string> good, List<string> bad) = (0, [], []);
        void Against(int by, string why)
        {
            points += by;
            bad.Add(why);
        }
        foreach (Substrate side in new[] { joint.One, joint.Other }.Distinct())
        {
            if (p.To(side) == Adhesion.WithPrimer)
                Against(PrimerPoints, $"Needs its primer on {Words.Of(side)}.");
        }
        if (strain > 0 && p.MovementPercent < 1.5 * strain)
            Against(LittleReservePoints, $"Little to spare: {strain:0.#} of {p.MovementPercent:0.#} %.");
        else if (strain > 0)
            good.Add($"Follows {p.MovementPercent:0.#} %; the joint asks for {strain:0.#} %.");
        // On a flue the heat decides, and no school.
        if (IsBedded(joint) && joint.HotC is null)
        {
            FlangeBedding? school = SchoolOf(p.Family);
            if (school == bedding)
                good.Add(
                    school switch
                    {
                        FlangeBedding.ButylAndLapSealant => "Builds up in valleys, and comes apart again.",
                        FlangeBedding.HybridPolymer => "Holds, stays elastic, and can be painted.",
                        _ => "Holds without screws.",
                    }
                );
            else
                Against(
                    OtherSchoolPoints,
                    school is null ? "No school beds a flange in it; it goes over the edge." : "Another school's bedding for a flange."
                );
        }
        if (Product.IsSilicone(p.Family))
            Against(SiliconePoints, "Nothing but silicone ever sticks there again.");
        if (p.Structural && !joint.Structural && !joint.RemovableLater && !IsBedded(joint))
            Against(StrongerThanNeededPoints, "Stronger than needed: hard to renew.");
        if (p.Removable)
            good.Add("Can be taken off again.");
        if (p.Paintable)
            good.Add("Can be painted.");
        if (p.Setting == Setting.AtOnce && !IsBedded(joint))
            Against(GapPoints, "A tape bridges no uneven gap, and leaks where its ends meet.");
        if (p.ServiceFromC > ColdNightC)
            Against(BrittlePoints, $"Brittle below {p.ServiceFromC:0.#} °C; a winter night gets to {ColdNightC:0} °C.");
        if (p.Hazards.Length > 0)
            bad.Add(p.Hazards);
        return (points, good, bad);
    }

    /// <summary>Whether a flange is bedded in it, as a school says.</summary>
    private static bool IsBedded(Joint joint) => joint.Kind is JointKind.RoofFlange or JointKind.SideFlange;

    /// <summary>The school that beds flanges in a family; null where none does.</summary>
    private static FlangeBedding? SchoolOf(ProductFamily family) =>
        family switch
        {
            ProductFamily.ButylTape => FlangeBedding.ButylAndLapSealant,
            ProductFamily.PolyurethaneAdhesive or ProductFamily.NeutralSilicone => FlangeBedding.Adhesive,
            ProductFamily.SilaneModifiedPolymer => FlangeBedding.HybridPolymer,
            _ => null,
        };
}

internal static class Words
{
    public static string Capital(Substrate substrate) => char.ToUpperInvariant(Of(substrate)[0]) + Of(substrate)[1..];

    public static string Of(Substrate substrate) =>
        substrate switch
        {
            Substrate.BareSteel => "bare steel",
            Substrate.GalvanisedSteel => "galvanised steel",
            Substrate.PaintedMetal => "painted metal",
            Substrate.Aluminium => "aluminium",
            Substrate.Glass => "glass",
            Substrate.Acrylic => "acrylic",
            Substrate.Polycarbonate => "polycarbonate",
            Substrate.PlasticFrame => "a plastic frame",
            Substrate.GlassReinforcedPlastic => "glass-reinforced plastic",
            _ => "timber",
        };
}
