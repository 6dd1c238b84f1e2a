using Abri.Core.Declared;
using Abri.Core.Weather;

namespace Abri.Core.Sealing;

/// <summary>The air of one hour.</summary>
/// <param name="AirC">Temperature, C.</param>
/// <param name="RelativePercent">Relative humidity, %.</param>
public sealed record AirHour([Within(-40, 80, "The temperature", "C")] double AirC, [Within(0, 100, "The humidity", "%")] double RelativePercent);

/// <summary>How far a joint has set.</summary>
public enum CureState
{
    /// <summary>The skin no longer sticks to a finger.</summary>
    TackFree,

    /// <summary>Rain does no harm.</summary>
    RainSafe,

    /// <summary>Clamps and tape may come off.</summary>
    ClampsOff,

    /// <summary>The vehicle may be driven gently.</summary>
    DriveGently,

    /// <summary>Cured through.</summary>
    Full,
}

/// <summary>When a state is reached.</summary>
/// <param name="State">The state.</param>
/// <param name="Hours">Hours after laying; null where it is not within the weather given.</param>
public sealed record CureAt(CureState State, double? Hours);

/// <summary>How a bead cures.</summary>
/// <param name="States">When each state is reached.</param>
/// <param name="DepthMm">Depth cured at the end of the weather given, mm.</param>
/// <param name="Verdict">In words.</param>
public sealed record CureTimes(IReadOnlyList<CureAt> States, double DepthMm, string Verdict);

/// <summary>Follows the cure of a bead through the hours of the weather.</summary>
/// <remarks>
/// Model (assumption): moisture has to pass what is cured already, so the depth is k sqrt(t), k from the data sheet's depth in 24 hours at 23 C and
/// 50 %. Time runs slower in cold and dry air: by absolute humidity over that of 23 C and 50 %, times two for every 10 K; below freezing it stands
/// still.
/// Air that is warmer or damper than the data sheet's is given no credit for it: the model would go past what the sheet says. Depth is then k
/// sqrt(integral of the pace).
/// A bead has to cure to its width where one face is open to the air, to half of it where two are. Rain safe after two skin times; clamps off at
/// <see cref="ClampsShare"/> of that depth, driven gently at <see cref="DriveShare"/>, and however thin the bead, clamps off not before
/// <see cref="LeastClampsHours"/>, driven gently
/// not before <see cref="LeastDriveHours"/>, cured through not before <see cref="LeastFullHours"/> hours of such air: assumptions, the data sheet
/// comes first. What is laid outside its temperatures is not followed: it is not to be laid at all. Tapes hold at once above their temperature.
/// </remarks>
/// <example>3 mm in 24 h; bead 6 mm with one open face at 23 C and 50 %: 24 (6 / 3)^2 = 96 h.</example>
public static class Cure
{
    /// <summary>Share of the full depth at which clamps come off: assumption.</summary>
    public const double ClampsShare = 0.5;

    /// <summary>Share of the full depth at which the vehicle may be driven gently: assumption.</summary>
    public const double DriveShare = 0.7;

    /// <summary>However thin a bead: clamps off, driven gently, cured through not before so many hours of the data sheet's air:
    /// assumptions.</summary>
    public const double LeastClampsHours = 2,
        LeastDriveHours = 4,
        LeastFullHours = 24;

    private const double SheetC = 23,
        SheetPercent = 50,
        DoubleEveryK = 10,
        HoursPerDay = 24;

    /// <summary>The air in which data sheets are measured.</summary>
    internal static AirHour SheetAir { get; } = new(SheetC, SheetPercent);

    /// <summary>Most hours of weather that are followed.</summary>
    public const int MostHours = 24 * 120;

    /// <summary>When a bead reaches each state.</summary>
    /// <param name="product">The product.</param>
    /// <param name="widthMm">Width of the bead from its open face, mm.</param>
    /// <param name="openFaces">Faces open to the air: 1 or 2.</param>
    /// <param name="weather">Air of each hour from when it is laid; one hour alone stands for steady air.</param>
    public static Result<Worked<CureTimes>> Of(Product product, double widthMm, int openFaces, IReadOnlyList<AirHour> weather)
    {
        if (ProductCheck.Of(product) is { } problem)
            return problem.Under("/product");
        if (weather.Count == 0)
            return new Problem("no-weather", "/weather", "Give at least one hour of air: temperature and humidity.");
        if (weather.Count > MostHours)
            return new Problem("weather-too-long", "/weather", $"At most {MostHours} hours of weather are followed; {weather.Count} were given.");
        if (openFaces is not (1 or 2))
            return new Problem(
                "open-faces",
                "/openFaces",
                "A bead has 1 or 2 faces open to the air. With none it does not cure: moisture cannot reach it."
            );
        if (widthMm <= 0)
            return new Problem("bead-width", "/widthMm", "The bead's width must be more than 0 mm.");
        for (int i = 0; i < weather.Count; i++)
        {
            if (MoistAir.Holds(weather[i].AirC, weather[i].RelativePercent).Problem is { } wrong)
                return wrong.Under($"/weather/{i}");
        }
        var sheet = new Worksheet();
        if (product.Setting != Setting.TwoPart && NotAt(product, weather[0].AirC) is { } notAt)
        {
            sheet.Warn(notAt);
            return sheet.Finish(new CureTimes([.. Enum.GetValues<CureState>().Select(s => new CureAt(s, null))], 0, notAt));
        }
        return product.Setting switch
        {
            Setting.AtOnce => sheet.Finish(
                new CureTimes(
                    [.. Enum.GetValues<CureState>().Select(s => new CureAt(s, 0))],
                    widthMm,
                    "Holds at once, pressed down firmly. Tack grows for a day."
                )
            ),
            Setting.TwoPart => new Problem("cure-two-part", "/product", "A product of two parts sets by itself: see its pot life."),
            _ => Followed(product, widthMm / openFaces, openFaces, weather, sheet),
        };
    }

    /// <summary>Why a product is not to be laid at a temperature; null where it is.</summary>
    internal static string? NotAt(Product product, double airC) =>
        airC >= product.LayFromC && airC <= product.LayToC
            ? null
            : $"Not to be laid at {airC:0.#} °C: between {product.LayFromC:0.#} and {product.LayToC:0.#} °C.";

    /// <summary>How much quicker a skin forms than at 23 C and 50 %.</summary>
    internal static double Pace(AirHour air)
    {
        if (air.AirC <= 0)
            return 0;
        double now = MoistAir.Holds(air.AirC, air.RelativePercent).Value!.Result.GramsPerM3,
            sheet = MoistAir.Holds(SheetC, SheetPercent).Value!.Result.GramsPerM3;
        return now / sheet * Math.Pow(2, (air.AirC - SheetC) / DoubleEveryK);
    }

    private static Worked<CureTimes> Followed(Product product, double depthMm, int openFaces, IReadOnlyList<AirHour> weather, Worksheet sheet)
    {
        double perDay = product.CureMmPerDay!.Value,
            skin = product.SkinMinutes!.Value / 60;
        double full = sheet.Step("d", "depth to be cured", openFaces == 2 ? "width / 2: two open faces" : "width: one open face", depthMm, "mm");
        sheet.Step("k", "pace of the data sheet", "mm in 24 h / sqrt(24)", perDay / Math.Sqrt(HoursPerDay), "mm/sqrt(h)");
        double Needed(double share) => HoursPerDay * Math.Pow(share * full / perDay, 2);
        (CureState State, double Hours)[] needs =
        [
            (CureState.TackFree, skin),
            (CureState.RainSafe, 2 * skin),
            (CureState.ClampsOff, Math.Max(Math.Max(2 * skin, LeastClampsHours), Needed(ClampsShare))),
            (CureState.DriveGently, Math.Max(Math.Max(2 * skin, LeastDriveHours), Needed(DriveShare))),
            (CureState.Full, Math.Max(Math.Max(2 * skin, LeastFullHours), Needed(1))),
        ];
        double[] paces = [.. weather.Select(air => Math.Min(1, Pace(air)))];
        sheet.Step("f", "pace of the first hour against 23 C and 50 %", "min(1, humidity / 10.3 * 2^((T - 23) / 10))", paces[0], "");
        var reached = needs.Select(n => new CureAt(n.State, At(n.Hours, paces))).ToList();
        foreach (CureAt at in reached.Where(a => a.Hours is not null))
            sheet.Step($"t_{at.State}", "hours until then", "sum of paces = hours of the data sheet", at.Hours!.Value, "h");
        sheet.Cite(new Source("depth = k sqrt(t), time scaled by absolute humidity and 2^(dT/10)", SourceKind.Assumption));
        sheet.Cite(
            new Source(
                $"However thin: clamps off after {LeastClampsHours:0} h, driven gently after {LeastDriveHours:0} h, cured through "
                    + $"after {LeastFullHours:0} h at the earliest; no credit for air warmer or damper than the data sheet's",
                SourceKind.Assumption
            )
        );
        sheet.Cite(
            new Source(
                $"Rain safe after two skin times; clamps off at {ClampsShare:0%}, driven gently at {DriveShare:0%} of the depth",
                SourceKind.Assumption
            )
        );
        double run = paces.Length == 1 ? paces[0] * MostHours : paces.Sum();
        double? through = reached[^1].Hours;
        string verdict = through is { } h
            ? $"Cured through after {Span(h)}."
            : $"Not cured through within the {Span(weather.Count == 1 ? MostHours : weather.Count)} looked at.";
        return sheet.Finish(new CureTimes(reached, Math.Min(full, perDay * Math.Sqrt(run / HoursPerDay)), verdict));
    }

    /// <summary>Hours until the paces add up to what the data sheet asks for; steady air goes on.</summary>
    private static double? At(double needed, double[] paces)
    {
        if (paces.Length == 1)
            return paces[0] > 0 && needed / paces[0] <= MostHours ? needed / paces[0] : null;
        double sum = 0;
        for (int hour = 0; hour < paces.Length; hour++)
        {
            if (sum + paces[hour] >= needed)
                return hour + ((needed - sum) / paces[hour]);
            sum += paces[hour];
        }
        return null;
    }

    private static string Span(double hours) => hours < 48 ? $"{hours:0.#} h" : $"{hours / 24:0.#} days";
}
