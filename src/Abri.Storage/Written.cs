using Abri.Core;

namespace Abri.Storage;

/// <summary>How a write ended.</summary>
public enum WriteState
{
    /// <summary>Done.</summary>
    Done,

    /// <summary>There is no such row.</summary>
    NotFound,

    /// <summary>Somebody else has changed the row since; nothing was written.</summary>
    Stale,

    /// <summary>It contradicts other rows; nothing was written.</summary>
    Conflict,
}

/// <summary>A write and how it ended.</summary>
/// <typeparam name="T">The record.</typeparam>
/// <param name="State">How it ended.</param>
/// <param name="Row">The row as it now stands; null when there is none.</param>
/// <param name="Message">What it conflicts with; null otherwise.</param>
public sealed record Written<T>(WriteState State, Stored<T>? Row, string? Message = null)
    where T : notnull;
