namespace Abri.Core.Days;

/// <summary>What keeps a step from being done.</summary>
public enum HindranceKind
{
    /// <summary>It may rain.</summary>
    Rain,

    /// <summary>Gusts.</summary>
    Wind,

    /// <summary>Too cold, or frost while it sets.</summary>
    Cold,

    /// <summary>Too hot.</summary>
    Hot,

    /// <summary>Dew settles.</summary>
    Damp,

    /// <summary>It gets dark.</summary>
    Dark,

    /// <summary>Nobody is there, or too few.</summary>
    People,

    /// <summary>The forecast says nothing of it, or is not trusted so far.</summary>
    Unknown,
}

/// <summary>What stands in the way of work, and when.</summary>
/// <param name="Kind">What.</param>
/// <param name="At">When it first does.</param>
/// <param name="Text">In words.</param>
public sealed record Hindrance(HindranceKind Kind, DateTimeOffset At, string Text);
