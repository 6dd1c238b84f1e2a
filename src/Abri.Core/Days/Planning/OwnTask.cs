using Abri.Core.Declared;
using Abri.Core.Work;

namespace Abri.Core.Days.Planning;

/// <summary>Something to do that no stage knows of: collect the window, have the key copied.</summary>
/// <param name="Name">What it is.</param>
/// <param name="Minutes">How long it takes, min.</param>
/// <param name="People">How many people.</param>
/// <param name="Place">Where.</param>
/// <param name="Dry">Whether it has to be dry.</param>
/// <param name="WindBelowMs">Wind below this, m/s; null where it does not matter.</param>
/// <param name="NotBefore">Earliest beginning; null for none.</param>
/// <param name="Until">Latest end; null for none.</param>
/// <param name="IsDone">Whether it is done.</param>
public sealed record OwnTask(
    [Name] string Name,
    [Within(5, 720, "How long it takes", "minutes")] double Minutes,
    [Within(1, 20, "The number of people")] int People,
    WorkPlace Place,
    bool Dry,
    [Within(1, 40, "The wind", "m/s")] double? WindBelowMs,
    [Dated] DateTimeOffset? NotBefore,
    [Dated] DateTimeOffset? Until,
    bool IsDone
) : IConsistent
{
    /// <inheritdoc/>
    public (string Field, string Message)? Contradiction() =>
        Until - NotBefore < TimeSpan.FromMinutes(Minutes) ? ("until", "It does not fit between its earliest beginning and its latest end.") : null;
}
