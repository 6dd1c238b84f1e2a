namespace Abri.Storage;

/// <summary>A record as it stands in the database.</summary>
/// <typeparam name="T">The record.</typeparam>
/// <param name="Id">Its id, a UUIDv7.</param>
/// <param name="Version">Goes up by one with each change; a change names the version that it was made from.</param>
/// <param name="OwnerId">Id of what it belongs to: a vehicle or a panel; null where it stands alone.</param>
/// <param name="Value">The record.</param>
public sealed record Stored<T>(string Id, int Version, string? OwnerId, T Value)
    where T : notnull;

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
