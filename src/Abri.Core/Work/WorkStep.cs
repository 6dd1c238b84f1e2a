namespace Abri.Core.Work;

/// <summary>Where a step is done.</summary>
public enum WorkPlace
{
    /// <summary>On the roof.</summary>
    Roof,

    /// <summary>Outside, on the ground.</summary>
    Outside,

    /// <summary>Inside the vehicle.</summary>
    Inside,

    /// <summary>At a bench.</summary>
    Bench,
}

/// <summary>What a step does to the shell.</summary>
public enum ShellChange
{
    /// <summary>It stays as it is.</summary>
    None,

    /// <summary>From here on rain comes in.</summary>
    Opens,

    /// <summary>From here on it does not.</summary>
    Closes,
}

/// <summary>What must be measured before the next step.</summary>
/// <param name="Name">What is measured.</param>
/// <param name="Wanted">What it should be, in <paramref name="Unit"/>; null where it is only written down.</param>
/// <param name="Less">By how much it may be less; null where it is only written down.</param>
/// <param name="More">By how much it may be more.</param>
/// <param name="Unit">Its unit; null for yes or no.</param>
public sealed record HoldPoint(string Name, double? Wanted, double? Less, double? More, Unit? Unit)
{
    /// <summary>What to do where it is less; null where there is only to measure again.</summary>
    public string? IfLess { get; init; }

    /// <summary>What to do where it is more, or not so; null where there is only to measure again.</summary>
    public string? IfMore { get; init; }

    /// <summary>Which of the six readings of a hole it looks at; null for none.</summary>
    public HoleReading? Reads { get; init; }

    /// <summary>The same, with what to do where it is off either way.</summary>
    internal HoldPoint Else(string what) => this with { IfLess = what, IfMore = what };

    /// <summary>Something that is only looked at: yes or no.</summary>
    internal static HoldPoint Seen(string name) => new(name, null, null, null, null);

    /// <summary>That a water test found no leak.</summary>
    internal static HoldPoint DryInside { get; } =
        Seen("Dry inside") with
        {
            IfMore = "It leaks: find out where in Water, fix that and test again before anything covers it.",
        };

    /// <summary>Something that may be as much less as more.</summary>
    internal static HoldPoint Within(string name, double wanted, double within, Unit unit) => new(name, wanted, within, within, unit);
}

/// <summary>Readings of a hole that one hold point looks at.</summary>
public enum HoleReading
{
    /// <summary>Its two widths.</summary>
    Widths,

    /// <summary>Its two heights.</summary>
    Heights,
}

/// <summary>Something that is used up.</summary>
/// <param name="Material">What.</param>
/// <param name="Amount">How much, in the unit of the material.</param>
public sealed record Consumable(Material Material, double Amount)
{
    /// <summary>Whole packs that hold so much; null where it is not sold by the pack.</summary>
    public int? Packs { get; init; } = Material.Pack is > 1 and var pack ? (int)Math.Ceiling((Amount / pack) - 1e-9) : null;
}

/// <summary>What amounts and readings of work are counted in.</summary>
public enum Unit
{
    /// <summary>Millimetres.</summary>
    Mm,

    /// <summary>Millilitres.</summary>
    Ml,

    /// <summary>Pieces.</summary>
    Count,

    /// <summary>Kilograms.</summary>
    Kg,

    /// <summary>Days.</summary>
    Days,

    /// <summary>Hours.</summary>
    Hours,

    /// <summary>Per cent.</summary>
    Percent,

    /// <summary>Degrees of an angle.</summary>
    Degrees,

    /// <summary>Degrees Celsius.</summary>
    Celsius,
}

/// <summary>What weather a step needs.</summary>
/// <param name="Dry">No rain.</param>
/// <param name="WindBelowMs">Wind below this, m/s; null where it does not matter.</param>
/// <param name="FromC">Warmer than this, C; null where it does not matter.</param>
/// <param name="ToC">Colder than this, C; null where it does not matter.</param>
public sealed record WeatherNeeds(bool Dry, double? WindBelowMs, double? FromC, double? ToC)
{
    /// <summary>Any weather.</summary>
    public static WeatherNeeds Any { get; } = new(false, null, null, null);
}

/// <summary>One step of a procedure: what stages hand to the schedule, the bench and the stores.</summary>
/// <param name="Number">Its number, from 1.</param>
/// <param name="Key">
/// What it is known by as long as the work is the same, whatever stands before it: <c>cut</c>, <c>header-2</c>. What was measured and done is kept
/// under it.
/// </param>
/// <param name="Title">What it is.</param>
/// <param name="Do">What to do, with the figures in it.</param>
/// <param name="Tools">What it takes.</param>
/// <param name="Consumables">What is used up.</param>
/// <param name="Minutes">How long it takes.</param>
/// <param name="People">How many people.</param>
/// <param name="Place">Where.</param>
/// <param name="Holds">What must be measured before the next step.</param>
/// <param name="Cautions">What can hurt somebody, or spoil it.</param>
/// <param name="Shell">What it does to the shell.</param>
/// <param name="Weather">What weather it needs.</param>
/// <param name="WaitHours">How long to wait before the next step, hours; 0 for none.</param>
/// <param name="After">What has to be done before, each with how long ago.</param>
public sealed record WorkStep(
    int Number,
    string Key,
    string Title,
    string Do,
    IReadOnlyList<string> Tools,
    IReadOnlyList<Consumable> Consumables,
    Minutes Minutes,
    int People,
    WorkPlace Place,
    IReadOnlyList<HoldPoint> Holds,
    IReadOnlyList<Caution> Cautions,
    ShellChange Shell,
    WeatherNeeds Weather,
    double WaitHours,
    IReadOnlyList<Follows> After
)
{
    /// <summary>A step of one person in any weather, with the minutes of the table.</summary>
    /// <param name="work">What work it is: its key, and its row in <see cref="MinutesTable"/>.</param>
    /// <param name="title">What it is.</param>
    /// <param name="what">What to do.</param>
    /// <param name="place">Where.</param>
    /// <param name="amount">How much of it, in the table's measure.</param>
    /// <param name="tools">What it takes.</param>
    internal static WorkStep Of(string work, string title, string what, WorkPlace place, double amount, params string[] tools) =>
        new(0, work, title, what, tools, [], MinutesTable.For(work, amount), 1, place, [], [], ShellChange.None, WeatherNeeds.Any, 0, []);
}

/// <summary>That a step comes after another.</summary>
/// <param name="Key">Key of the other.</param>
/// <param name="LagHours">Least time between its end and this one's beginning, hours.</param>
public sealed record Follows(string Key, double LagHours);
