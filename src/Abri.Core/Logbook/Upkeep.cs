using Abri.Core.Declared;
using Abri.Core.Water;

namespace Abri.Core.Logbook;

/// <summary>What is looked after again and again.</summary>
public enum UpkeepKind
{
    /// <summary>Channels along the bottom of sides and doors, where dirt keeps the wet.</summary>
    BottomChannels,

    /// <summary>Drains of the shell.</summary>
    Drains,

    /// <summary>Sealant on the roof.</summary>
    RoofSealant,

    /// <summary>Rubber seals of doors.</summary>
    DoorSeals,

    /// <summary>Wax under the vehicle.</summary>
    UnderbodyWax,

    /// <summary>A bonded pane.</summary>
    BondedGlass,

    /// <summary>An opening that is new: after its first rain and its first hot day.</summary>
    NewOpening,

    /// <summary>Metal that was mended or left, and that is watched.</summary>
    MendedMetal,

    /// <summary>Something that somebody wrote down.</summary>
    Own,
}

/// <summary>How a kind of thing is looked after.</summary>
/// <param name="Kind">The kind.</param>
/// <param name="How">What is done, in a sentence or two.</param>
/// <param name="Months">Months from one time to the next.</param>
public sealed record UpkeepRule(UpkeepKind Kind, string How, int Months)
{
    /// <summary>What is due within so many days is shown as coming up: assumption.</summary>
    public const int SoonDays = 30;

    /// <summary>A new opening is looked at after its first rain, and after so many days at the latest: assumption.</summary>
    public const int NewOpeningDays = 14;

    /// <summary>The rules of kinds that every shell may have. Intervals: common practice; of drains as <c>Water</c> counts them.</summary>
    public static IReadOnlyList<UpkeepRule> All { get; } =
    [
        new(
            UpkeepKind.BottomChannels,
            "Rinse the channels along the bottom from inside, let them drain and dry, look for brown water, then oil or wax them.",
            6
        ),
        new(UpkeepKind.Drains, "Poke every drain free, pour a cup of water in, and see it come out below.", Drain.LookAgainMonths),
        new(UpkeepKind.RoofSealant, "Wash the roof, press along every bead with a thumb: what lifts, cracks or feels hollow is sealed anew.", 12),
        new(
            UpkeepKind.DoorSeals,
            "Wash the rubber, look for cracks and flat places, care for it with silicone or glycerine, pull a strip of paper.",
            12
        ),
        new(UpkeepKind.UnderbodyWax, "Wash below, let it dry, brush and prime what rusts, then wax seams, folds and cavities again.", 12),
        new(UpkeepKind.BondedGlass, "Look at the bond from inside along the whole edge: no light, no lifted primer, no crack from a corner.", 12),
    ];

    /// <summary>The rule of a kind.</summary>
    public static UpkeepRule Of(UpkeepKind kind) => All.Single(r => r.Kind == kind);

    /// <summary>When something is due that is done every so many months: the same day of the month, or its last where it is shorter.</summary>
    /// <param name="last">When it was done last.</param>
    /// <param name="months">Months from one time to the next.</param>
    /// <example>Done on 31 August, every 6 months: due on 28 February, in a leap year on the 29th.</example>
    public static Worked<DateOnly> Due(DateOnly last, int months)
    {
        var sheet = new Worksheet();
        sheet.Cite(new Source("Every few months, by the calendar", SourceKind.CommonPractice));
        DateOnly due = last.AddMonths(months);
        sheet.Step("d", "days from the last time to the next", "same day of the month, or its last", due.DayNumber - last.DayNumber, "days");
        return sheet.Finish(due);
    }
}

/// <summary>Something to look after that somebody wrote down.</summary>
/// <param name="Name">What it is.</param>
/// <param name="How">What is done; empty where the name says it.</param>
/// <param name="First">When it is due first.</param>
/// <param name="Months">Months from one time to the next; null for once.</param>
public sealed record OwnUpkeep(
    [Name] string Name,
    [Notes] string How,
    [Dated] DateOnly First,
    [Within(1, 120, "From one time to the next", "months")] int? Months
);

/// <summary>That something was looked after.</summary>
/// <param name="Key">Which: see <c>UpkeepLine.Key</c>.</param>
/// <param name="What">What it was called then.</param>
/// <param name="On">When.</param>
/// <param name="By">Who did it.</param>
/// <param name="Notes">What was seen.</param>
public sealed record UpkeepDone(
    [Name(120)] string Key,
    [Name(200)] string What,
    [Dated] DateOnly On,
    [Name(80, "Say who does it, in up to 80 characters.")] string By,
    [Notes] string Notes
)
{
    /// <summary>Key of what is looked after.</summary>
    /// <param name="kind">Its kind.</param>
    /// <param name="id">Id of the thing; null where there is one of its kind.</param>
    public static string KeyOf(UpkeepKind kind, string? id) => id is null ? kind.ToString() : $"{kind}/{id}";

    /// <summary>The same with the thing named otherwise; null where it has no other name.</summary>
    public UpkeepDone? Rekeyed(Func<string, string?> nameOf) =>
        Key.Split('/', 2) is not [var kind, var id] ? this
        : nameOf(id) is { } name ? this with { Key = $"{kind}/{name}" }
        : null;
}
