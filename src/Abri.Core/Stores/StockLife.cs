using Abri.Core.Work;

namespace Abri.Core.Stores;

/// <summary>How long a material keeps.</summary>
/// <param name="ClosedMonths">Months from buying while it is closed; null where it keeps.</param>
/// <param name="OpenDays">Days once it is opened; null where it keeps, 0 where it is used at once.</param>
/// <param name="Source">Where that comes from.</param>
public sealed record KeepsFor(int? ClosedMonths, double? OpenDays, Source Source);

/// <summary>How long what is there can be used: closed by the day printed on it, or by its shelf life; opened by its open life, if that ends
/// sooner.</summary>
public static class StockLife
{
    private static readonly Source Usual = new("Usual shelf and open lives by kind; the pack's own label counts", SourceKind.Assumption);

    /// <summary>How long materials of a kind keep, where no product sheet says more.</summary>
    public static KeepsFor Typical(Material material) =>
        material.Kind switch
        {
            _ when material.Id == Materials.ActivatorWipe.Id => new(
                12,
                0,
                new Source("A wipe dries out: one that is opened is used up", SourceKind.CommonPractice)
            ),
            _ when material.Id == Materials.GlassPrimer.Id || material.Id == Materials.PlasticPrimer.Id => new(9, 1, Usual),
            MaterialKind.Sealant => new(12, 7, Usual),
            MaterialKind.Paint => new(24, 180, Usual),
            MaterialKind.Cleaner => new(36, 365, Usual),
            MaterialKind.Tape => new(24, null, Usual),
            _ => new(null, null, Usual),
        };

    /// <summary>Last day on which something can be used; none where it keeps.</summary>
    /// <param name="boughtOn">When it was bought; null where nobody knows: then only what is printed counts while it is closed.</param>
    /// <param name="expiresOn">Last day printed on it; null for none.</param>
    /// <param name="openedOn">When it was opened; null while it is closed.</param>
    /// <param name="keeps">How long it keeps.</param>
    /// <example>Bought on 31 January 2031, 1 month: until 28 February 2031. Opened on 1 May, 7 days: until 8 May.</example>
    public static Worked<LastDay> Of(DateOnly? boughtOn, DateOnly? expiresOn, DateOnly? openedOn, KeepsFor keeps)
    {
        var sheet = new Worksheet();
        DateOnly? closed = expiresOn ?? (keeps.ClosedMonths is { } months ? boughtOn?.AddMonths(months) : null);
        DateOnly? open = keeps.OpenDays is { } days ? openedOn?.AddDays((int)Math.Floor(days)) : null;
        DateOnly? last = closed is { } c && open is { } o ? (c < o ? c : o) : closed ?? open;
        if (last is { } day && (openedOn ?? boughtOn) is { } from)
            _ = sheet.Step("d", "days from then on", "sooner of closed and open life", day.DayNumber - from.DayNumber, "days");
        sheet.Cite(keeps.Source);
        return sheet.Finish(new LastDay(last, last is { } and ? $"Until {and:yyyy-MM-dd}." : "It keeps, or its age is not known."));
    }
}

/// <summary>Last day on which something can be used.</summary>
/// <param name="On">The day; null where it keeps.</param>
/// <param name="Verdict">The same in a sentence.</param>
public sealed record LastDay(DateOnly? On, string Verdict);
