using Abri.Core.Declared;
using Abri.Core.Shell;

namespace Abri.Core.Stores;

/// <summary>Cuts to be made with a jigsaw.</summary>
/// <param name="Material">What is cut.</param>
/// <param name="ThickMm">Its thickness, mm.</param>
/// <param name="LengthMm">Length of all cuts, mm.</param>
public sealed record BladeQuestion(
    SkinMaterial Material,
    [Within(0.3, 30, "The thickness", "mm")] double ThickMm,
    [Within(1, 1_000_000, "The cuts", "mm")] double LengthMm
);

/// <summary>Blades for cuts.</summary>
/// <param name="MetresEach">Metres that one blade cuts well.</param>
/// <param name="Blades">How many to have at hand, one of them to spare.</param>
/// <param name="Verdict">The same in a sentence.</param>
public sealed record BladePlan(double MetresEach, int Blades, string Verdict);

/// <summary>How many blades a length of cut takes: a dull one tears, heats and burns the paint.</summary>
/// <remarks>Metres at 1 mm by material, less as it gets thicker: assumptions, on the safe side of what blades of that kind usually do.</remarks>
public static class BladeLife
{
    /// <summary>The answer.</summary>
    public static Worked<BladePlan> Of(BladeQuestion question)
    {
        var sheet = new Worksheet();
        double at1 = question.Material switch
        {
            SkinMaterial.Aluminium => 12,
            SkinMaterial.GlassReinforcedPlastic => 6,
            SkinMaterial.PlywoodSkin => 60,
            _ => 5,
        };
        double each = sheet.Step(
            "b",
            "metres a blade",
            "metres at 1 mm / thickness, at most those at 1 mm",
            at1 / Math.Max(1, question.ThickMm),
            "m"
        );
        double used = sheet.Step("n", "blades used", "length / b, rounded up", Math.Ceiling(question.LengthMm / 1000 / each), "");
        int blades = (int)used + 1;
        sheet.Cite(new Source("Metres that a fine blade cuts well", SourceKind.Assumption));
        return sheet.Finish(
            new BladePlan(
                each,
                blades,
                $"{blades} blades, one of them to spare: one cuts about {each:0.#} m of this well. Change it when it slows down or smokes."
            )
        );
    }
}
