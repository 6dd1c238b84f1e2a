using Abri.Core.Shell;

namespace Abri.Core.Weather;

/// <summary>Climates of the simulated weather service.</summary>
public enum Climate
{
    /// <summary>Mild, some rain.</summary>
    Coast,

    /// <summary>Rain on most days.</summary>
    WetCoast,

    /// <summary>Warm summers, cold winters.</summary>
    Inland,

    /// <summary>Hot and dry.</summary>
    Dry,

    /// <summary>Cold all year.</summary>
    North,
}

/// <summary>
/// Stand-in for a weather service: a made-up weather that nobody can look at, and forecasts of it that are issued every six hours and drift from it
/// the further they look ahead.
/// </summary>
/// <remarks>
/// Wet or dry is a number that wanders with a memory of hours (showers) and of days (fronts), wet above a threshold that gives the climate its share
/// of
/// wet hours. A forecast knows a blurred picture of it, the more blurred the further ahead. Given that picture the truth is one draw among others,
/// and
/// the 20 members of the forecast are further draws from the same. The chance that is told is the one that this gives, so that of the hours said to
/// be
/// wet with 30 % about 30 % are. Everything is a function of seed and hour: the same service always tells the same. All figures are made up.
/// </remarks>
public sealed class SimulatedClimate
{
    /// <summary>Members of a forecast.</summary>
    public const int MemberCount = 20;

    /// <summary>Hours between two forecasts, and how far each looks ahead.</summary>
    public const int IssuedEveryHours = 6,
        AheadHours = 120;

    /// <summary>How quickly a forecast loses sight of the truth, hours: at this lead it knows 37 % of what it knew: assumption.</summary>
    private const double SightHours = 90;

    /// <summary>Memory of showers and of fronts, hours; share of the fronts: assumptions.</summary>
    private const double ShowerHours = 4,
        FrontHours = 16,
        FrontShare = 0.7;

    private readonly Wander shower,
        front,
        warm,
        windy;
    private readonly uint seed;
    private readonly SimulatedService service;
    private readonly Figures figures;

    /// <summary>A service.</summary>
    /// <param name="service">Which of the made-up weathers.</param>
    public SimulatedClimate(SimulatedService service)
    {
        this.service = service;
        seed = unchecked((uint)service.Seed);
        figures = Of(service.Climate);
        (shower, front) = (new Wander(seed, 1, ShowerHours), new Wander(seed, 2, FrontHours));
        (warm, windy) = (new Wander(seed, 3, 72), new Wander(seed, 4, 12));
    }

    /// <summary>What the weather really is in an hour, told by a place's sun.</summary>
    public WeatherHour Truth(DateTimeOffset at, Place place) => Hour(HourOf(at), place, Wet(HourOf(at)), warm.At(HourOf(at)), null);

    /// <summary>The last forecast that is out at a moment.</summary>
    /// <param name="now">The moment.</param>
    /// <param name="place">Where.</param>
    public Forecast Latest(DateTimeOffset now, Place place)
    {
        long issued = HourOf(now) / IssuedEveryHours * IssuedEveryHours;
        // What blurs the picture, and what each member makes of it, is drawn anew with every forecast.
        uint issue = Noise.Mixed(seed, (uint)issued);
        var blurs = new Blurred(issue, 100);
        Blurred[] members = [.. Enumerable.Range(0, MemberCount).Select(m => new Blurred(issue, 200 + m))];
        var drift = new Wander(issue, 50, 48);
        var hours = new WeatherHour[AheadHours];
        var courses = new char[MemberCount][];
        for (int m = 0; m < MemberCount; m++)
            courses[m] = new char[AheadHours];
        for (int lead = 0; lead < AheadHours; lead++)
        {
            long hour = issued + lead;
            double sight = Math.Exp(-(lead + 1) / SightHours),
                seen = Math.Sqrt(sight),
                blur = Math.Sqrt(1 - sight);
            double picture = (seen * Wet(hour)) + (blur * blurs.At(hour));
            for (int m = 0; m < MemberCount; m++)
                courses[m][lead] = (seen * picture) + (blur * members[m].At(hour)) > figures.Threshold ? '1' : '0';
            double chance = Math.Round(100 * Noise.NormalBelow(((seen * picture) - figures.Threshold) / blur));
            double warmth = (seen * warm.At(hour)) + (blur * drift.At(hour));
            hours[lead] = Hour(hour, place, picture, warmth, chance);
        }
        DateTimeOffset from = Begin(issued);
        return new Forecast(ForecastSource.Simulated, from, from, hours, null, [.. courses.Select(c => new string(c))], service);
    }

    /// <summary>Whether it really rains in an hour.</summary>
    internal bool IsWet(DateTimeOffset at) => Wet(HourOf(at)) > figures.Threshold;

    private double Wet(long hour) => (Math.Sqrt(1 - FrontShare) * shower.At(hour)) + (Math.Sqrt(FrontShare) * front.At(hour));

    private WeatherHour Hour(long hour, Place place, double wetness, double warmth, double? chance)
    {
        DateTimeOffset at = Begin(hour);
        double sun = Daylight.AltitudeDeg(place, at),
            season = Math.Cos(2 * Math.PI * (at.DayOfYear - 200) / 365.25) * (place.LatitudeDeg < 0 ? -1 : 1);
        // Warmest some two hours after the sun stands highest.
        double day = Math.Sin(Math.PI / 180 * Math.Clamp(Daylight.AltitudeDeg(place, at.AddHours(-2)), -20, 60));
        bool rains = wetness > figures.Threshold;
        double clouds = Math.Clamp(50 + (30 * (wetness - figures.Threshold + 1)), 0, 100);
        double air =
            figures.MeanC + (figures.SeasonK * season) + (figures.DayK * (day - 0.3) * (1 - (clouds / 200))) + (2.5 * warmth) - (rains ? 1.5 : 0);
        double dew = figures.MeanC + (figures.SeasonK * season) - figures.DewBelowK + (2 * warmth) + (1.5 * Math.Clamp(wetness, -2, 2));
        double wind = figures.WindMs * Math.Exp(0.35 * windy.At(hour)) * (1 + (0.25 * Math.Clamp(wetness, -1, 3))) * (sun > 0 ? 1.15 : 0.85);
        air = Math.Clamp(Math.Round(air, 1), -55, 55);
        wind = Math.Clamp(Math.Round(wind, 1), 0, 40);
        double mm = Math.Round(figures.RainMm * (0.4 + Math.Max(0, wetness - figures.Threshold)), 1);
        return new WeatherHour(
            air,
            Math.Clamp(Math.Round(rains && chance is null ? 95 : MoistAir.RelativePercent(air, dew)), 5, 100),
            wind,
            Math.Round(wind * (rains ? 1.9 : 1.5), 1),
            chance is > 0 || rains ? mm : 0,
            chance ?? (rains ? 100 : 0),
            Math.Round(clouds)
        );
    }

    private static long HourOf(DateTimeOffset at) => at.ToUnixTimeSeconds() / 3600;

    private static DateTimeOffset Begin(long hour) => DateTimeOffset.FromUnixTimeSeconds(hour * 3600);

    private static Figures Of(Climate climate) =>
        climate switch
        {
            Climate.Coast => new(11, 5, 5, 4, 4.5, 1.2, 1.05),
            Climate.WetCoast => new(9, 4, 4, 2, 6, 1.5, 0.45),
            Climate.Inland => new(9, 11, 8, 6, 3, 2, 1.3),
            Climate.Dry => new(20, 9, 9, 14, 3.5, 3, 2.1),
            _ => new(1, 12, 5, 4, 4.5, 1, 1.1),
        };

    /// <param name="MeanC">Mean of the year, C.</param>
    /// <param name="SeasonK">Summer over the mean, K.</param>
    /// <param name="DayK">What a high sun adds, K.</param>
    /// <param name="DewBelowK">Dew point below the mean, K.</param>
    /// <param name="WindMs">Usual wind, m/s.</param>
    /// <param name="RainMm">Rain of a wet hour, mm.</param>
    /// <param name="Threshold">Above which it rains, in standard deviations: 1.05 is wet 15 % of the time.</param>
    private sealed record Figures(double MeanC, double SeasonK, double DayK, double DewBelowK, double WindMs, double RainMm, double Threshold);

    /// <summary>Showers and fronts of a blur, with the memory that the truth has.</summary>
    private sealed class Blurred(uint seed, int stream)
    {
        private readonly Wander shower = new(seed, (2 * stream) + 1, ShowerHours),
            front = new(seed, 2 * stream, FrontHours);

        public double At(long hour) => (Math.Sqrt(1 - FrontShare) * shower.At(hour)) + (Math.Sqrt(FrontShare) * front.At(hour));
    }

    /// <summary>A number that wanders about 0 with standard deviation 1 and a memory of some hours: noise of past hours, weighed by their
    /// age.</summary>
    private sealed class Wander(uint seed, int stream, double memoryHours)
    {
        private const double Remembered = 4;
        private readonly Dictionary<long, double> known = [];
        private readonly double keep = Math.Exp(-1 / memoryHours),
            spread = Math.Sqrt(Enumerable.Range(0, Back(memoryHours) + 1).Sum(j => Math.Exp(-2 * j / memoryHours)));
        private readonly int back = Back(memoryHours);

        private static int Back(double memoryHours) => (int)Math.Ceiling(Remembered * memoryHours);

        public double At(long hour)
        {
            if (known.TryGetValue(hour, out double sum))
                return sum / spread;
            // One step on from the hour before, where that is known.
            sum = known.TryGetValue(hour - 1, out double before)
                ? (keep * before) + Noise.Normal(seed, stream, hour) - (Math.Pow(keep, back + 1) * Noise.Normal(seed, stream, hour - back - 1))
                : Enumerable.Range(0, back + 1).Sum(j => Math.Pow(keep, j) * Noise.Normal(seed, stream, hour - j));
            return (known[hour] = sum) / spread;
        }
    }
}
