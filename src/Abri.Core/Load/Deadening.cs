using Abri.Core.Declared;

namespace Abri.Core.Load;

/// <summary>Sheets against drumming.</summary>
/// <param name="AreaM2">Area of the skins, m2.</param>
/// <param name="KgM2">Mass of the sheet, kg/m2.</param>
/// <param name="CoveredPercent">How much of the area is covered, %.</param>
public sealed record DeadeningQuestion(
    [Within(0.1, 200, "The area", "m2")] double AreaM2,
    [Within(0.2, 12, "The sheet", "kg/m2")] double KgM2,
    [Within(1, 100, "What is covered", "%")] double CoveredPercent
);

/// <summary>What deadening weighs.</summary>
/// <param name="Kg">Its mass, kg.</param>
/// <param name="EnoughKg">What a quarter of the area weighs, kg.</param>
/// <param name="Verdict">The same in a sentence.</param>
public sealed record DeadeningPlan(double Kg, double EnoughKg, string Verdict);

/// <summary>What sheets against drumming weigh, and how much of them works.</summary>
/// <example>2 kg/m2 over 10 m2: 20 kg; a quarter of it: 5 kg.</example>
public static class Deadening
{
    /// <summary>Share of a skin that gives most of the effect when the middle of each field is covered: common practice.</summary>
    public const double Enough = 0.25;

    /// <summary>The answer.</summary>
    public static Worked<DeadeningPlan> Of(DeadeningQuestion question)
    {
        var sheet = new Worksheet();
        double mass = sheet.Step(
            "m",
            "mass",
            "area * covered * mass of the sheet",
            question.AreaM2 * question.CoveredPercent / 100 * question.KgM2,
            "kg"
        );
        double enough = sheet.Step("m_1/4", "mass of a quarter", "area / 4 * mass of the sheet", question.AreaM2 * Enough * question.KgM2, "kg");
        sheet.Cite(new Source("A quarter of the area, in the middle of each field, gives most of the effect", SourceKind.CommonPractice));
        return sheet.Finish(
            new DeadeningPlan(
                mass,
                enough,
                mass > enough + 0.05
                    ? $"{mass:0.#} kg. A quarter of the area, in the middle of each field, gives most of the effect with {enough:0.#} kg."
                    : $"{mass:0.#} kg: in the middle of each field it gives most of the effect."
            )
        );
    }
}
