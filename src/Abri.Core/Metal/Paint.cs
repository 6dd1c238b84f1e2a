using Abri.Core.Declared;

namespace Abri.Core.Metal;

/// <summary>How paint is put on.</summary>
public enum PaintBy
{
    /// <summary>Brush.</summary>
    Brush,

    /// <summary>Roller.</summary>
    Roller,

    /// <summary>Spray can.</summary>
    SprayCan,
}

/// <summary>One coat of a paint system, as its data sheet describes it.</summary>
/// <param name="Name">What people call it.</param>
/// <param name="DryMicrometres">Thickness when dry, um.</param>
/// <param name="SolidsPercent">Solids by volume, %.</param>
/// <param name="By">How it is put on.</param>
/// <param name="CanMl">What a can holds, ml.</param>
/// <param name="RecoatFromHours">Hours at 20 C before the next coat.</param>
/// <param name="RecoatToHours">Hours at 20 C after which it has to be abraded first; null where that does not matter.</param>
/// <param name="LeastC">Coldest at which it may be put on, C.</param>
/// <param name="MostC">Hottest, C.</param>
public sealed record Coat(
    [Name] string Name,
    [Within(5, 1000, "The dry film", "um")] double DryMicrometres,
    [Within(10, 100, "The solids", "%")] double SolidsPercent,
    PaintBy By,
    [Within(10, 20_000, "A can", "ml")] double CanMl,
    [Within(0, 500, "The time to the next coat", "hours")] double RecoatFromHours,
    [Within(0, 2000, "The time after which it is abraded", "hours")] double? RecoatToHours,
    [Within(-20, 40, "The coldest", "C")] double LeastC,
    [Within(-10, 60, "The hottest", "C")] double MostC
) : IConsistent
{
    /// <inheritdoc/>
    public (string Field, string Message)? Contradiction() =>
        LeastC >= MostC ? ("mostC", "The hottest must lie above the coldest.")
        : RecoatToHours <= RecoatFromHours ? ("recoatToHours", "The time after which it is abraded must lie after the time to the next coat.")
        : null;
}

/// <summary>One coat on an area.</summary>
/// <param name="Name">What people call it.</param>
/// <param name="Litres">What goes on, with what is lost, l.</param>
/// <param name="Cans">Whole cans.</param>
/// <param name="RecoatFromHours">Hours before the next coat at the temperature; null where the coat may not be put on at it.</param>
/// <param name="RecoatToHours">Hours after which it is abraded first; null where that does not matter or the coat may not be put on.</param>
public sealed record CoatPlan(string Name, double Litres, int Cans, double? RecoatFromHours, double? RecoatToHours);

/// <summary>A paint system on an area.</summary>
/// <param name="Coats">Its coats, in order.</param>
/// <param name="DryMicrometres">Dry film in all, um.</param>
/// <param name="LeastHours">From the first coat until the last may be handled, hours; null where a coat may not be put on at the temperature.</param>
/// <param name="Verdict">The same in a sentence.</param>
public sealed record PaintPlan(IReadOnlyList<CoatPlan> Coats, double DryMicrometres, double? LeastHours, string Verdict);

/// <summary>Works out how much paint an area takes and when the next coat goes on.</summary>
/// <remarks>
/// A litre covers 10 x solids % / dry film um m2 (geometry of the film). Lost on the way: brush 10, roller 15, spray can 40 %: assumption. Times at
/// another temperature: twice as long for each 10 K colder, half for each warmer: assumption, within what the coat allows and 0 to 40 C.
/// </remarks>
/// <example>Primer of 50 % solids at 50 um covers 10 m2 a litre; 2 m2 by brush take 0.22 l.</example>
public static class Paint
{
    /// <summary>What is lost on the way, % of what is taken out of the can.</summary>
    public static double LossPercent(PaintBy by) =>
        by switch
        {
            PaintBy.Brush => 10,
            PaintBy.Roller => 15,
            _ => 40,
        };

    /// <summary>The system.</summary>
    /// <param name="coats">Its coats, in order.</param>
    /// <param name="areaM2">Area, m2.</param>
    /// <param name="airC">Temperature, C.</param>
    public static Worked<PaintPlan> Of(IReadOnlyList<Coat> coats, double areaM2, double airC)
    {
        var sheet = new Worksheet();
        double slower = sheet.Step("q", "times at this temperature", "2^((20 - T) / 10)", Math.Pow(2, (20 - airC) / 10), "");
        CoatPlan[] plans = [.. coats.Select((c, i) => One(c, i + 1, areaM2, airC, slower, sheet))];
        sheet.Cite(new Source("A film of dry thickness d takes d / solids of wet paint", SourceKind.Geometry));
        sheet.Cite(new Source("Lost on the way: brush 10, roller 15, spray can 40 %", SourceKind.Assumption));
        sheet.Cite(new Source("Twice the time for each 10 K colder", SourceKind.Assumption));
        Coat? wrong = coats.FirstOrDefault(c => airC < c.LeastC || airC > c.MostC);
        double? hours = wrong is null ? plans.Sum(p => p.RecoatFromHours!.Value) : null;
        return sheet.Finish(
            new PaintPlan(
                plans,
                coats.Sum(c => c.DryMicrometres),
                hours,
                wrong is not null
                    ? $"{wrong.Name} goes on between {wrong.LeastC:0} and {wrong.MostC:0} °C; at {airC:0.#} °C it does not."
                    : $"{string.Join(", ", plans.Select(p => $"{p.Litres:0.00} l of {p.Name}"))}; {Words(hours!.Value)} from the "
                        + "first coat to the end of the last."
            )
        );
    }

    private static CoatPlan One(Coat c, int number, double areaM2, double airC, double slower, Worksheet sheet)
    {
        double covers = sheet.Step(
            $"s_{number}",
            $"{c.Name}: a litre covers",
            "10 solids % / film um",
            10 * c.SolidsPercent / c.DryMicrometres,
            "m2/l"
        );
        double litres = sheet.Step(
            $"V_{number}",
            $"{c.Name} in all",
            "area / s / (1 - loss)",
            areaM2 / covers / (1 - (LossPercent(c.By) / 100)),
            "l"
        );
        bool goesOn = airC >= c.LeastC && airC <= c.MostC;
        return new CoatPlan(
            c.Name,
            litres,
            (int)Math.Ceiling((litres * 1000 / c.CanMl) - 1e-9),
            goesOn ? c.RecoatFromHours * slower : null,
            goesOn ? c.RecoatToHours * slower : null
        );
    }

    private static string Words(double hours) => hours < 48 ? $"{hours:0.#} h" : $"{hours / 24:0.#} days";
}
