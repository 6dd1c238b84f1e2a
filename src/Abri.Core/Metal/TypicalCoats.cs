namespace Abri.Core.Metal;

/// <summary>Coats to begin with until somebody enters those of a data sheet: assumptions throughout.</summary>
public static class TypicalCoats
{
    /// <summary>Primer on bare steel.</summary>
    public static Coat EpoxyPrimer { get; } = new("epoxy primer", 60, 60, PaintBy.Brush, 500, 12, 72, 10, 35);

    /// <summary>Colour over the primer.</summary>
    public static Coat Colour { get; } = new("top coat", 40, 45, PaintBy.Brush, 500, 16, 72, 10, 30);

    /// <summary>One of primer and two of colour.</summary>
    public static IReadOnlyList<Coat> System { get; } = [EpoxyPrimer, Colour, Colour with { Name = "second top coat" }];
}
