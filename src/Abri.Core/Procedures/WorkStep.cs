namespace Abri.Core.Procedures;

/// <summary>How long something takes, min.</summary>
/// <param name="Quick">When all goes well.</param>
/// <param name="Likely">As a rule.</param>
/// <param name="Slow">When it does not.</param>
public sealed record Minutes(double Quick, double Likely, double Slow)
{
    /// <summary>One after the other.</summary>
    public static Minutes operator +(Minutes a, Minutes b) => new(a.Quick + b.Quick, a.Likely + b.Likely, a.Slow + b.Slow);

    internal static Minutes About(double likely) => new(Math.Round(likely * 0.6), Math.Round(likely), Math.Round(likely * 2));
}

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
/// <param name="Unit">Unit: mm, C, %; empty for yes or no.</param>
public sealed record HoldPoint(string Name, double? Wanted, double? Less, double? More, string Unit)
{
    /// <summary>Something that is only looked at: yes or no.</summary>
    internal static HoldPoint Seen(string name) => new(name, null, null, null, "");

    /// <summary>Something that may be as much less as more.</summary>
    internal static HoldPoint Within(string name, double wanted, double within, string unit) => new(name, wanted, within, within, unit);
}

/// <summary>Something that is used up.</summary>
/// <param name="Name">What.</param>
/// <param name="Amount">How much, in <paramref name="Unit"/>.</param>
/// <param name="Unit">Unit: mm, ml, count.</param>
public sealed record Consumable(string Name, double Amount, string Unit);

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
public sealed record WorkStep(
    int Number, string Title, string Do, IReadOnlyList<string> Tools, IReadOnlyList<Consumable> Consumables, Minutes Minutes, int People, WorkPlace Place,
    IReadOnlyList<HoldPoint> Holds, IReadOnlyList<string> Cautions, ShellChange Shell, WeatherNeeds Weather, double WaitHours);

/// <summary>What is done, in order.</summary>
/// <param name="Title">What it is for.</param>
/// <param name="Steps">The steps.</param>
/// <param name="Work">Work in all, without waiting.</param>
/// <param name="OpenMinutes">How long the shell stands open, waiting included.</param>
/// <param name="Tools">All tools, each once.</param>
/// <param name="Consumables">All that is used up, added up.</param>
public sealed record Procedure(string Title, IReadOnlyList<WorkStep> Steps, Minutes Work, Minutes OpenMinutes, IReadOnlyList<string> Tools, IReadOnlyList<Consumable> Consumables)
{
    internal static Procedure Of(string title, IReadOnlyList<WorkStep> steps)
    {
        WorkStep[] numbered = [.. steps.Select((s, i) => s with { Number = i + 1 })];
        (Minutes work, Minutes open, bool isOpen) = (new Minutes(0, 0, 0), new Minutes(0, 0, 0), false);
        foreach (WorkStep step in numbered)
        {
            work += step.Minutes;
            isOpen |= step.Shell == ShellChange.Opens;
            double wait = 60 * step.WaitHours;
            if (isOpen) open += step.Minutes + (step.Shell == ShellChange.Closes ? new Minutes(0, 0, 0) : new Minutes(wait, wait, wait));
            if (step.Shell == ShellChange.Closes) isOpen = false;
        }
        return new Procedure(title, numbered, work, open, [.. numbered.SelectMany(s => s.Tools).Distinct()],
            [.. numbered.SelectMany(s => s.Consumables).GroupBy(c => (c.Name, c.Unit)).Select(g => new Consumable(g.Key.Name, g.Sum(c => c.Amount), g.Key.Unit))]);
    }
}
