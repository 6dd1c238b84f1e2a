namespace Abri.Core;

/// <summary>A record as it is kept: what others refer to it by, and which state of it this is.</summary>
/// <typeparam name="T">The record.</typeparam>
/// <param name="Id">Its id, a UUIDv7.</param>
/// <param name="Version">Goes up by one with each change; a change names the version that it was made from.</param>
/// <param name="OwnerId">Id of what it belongs to: a vehicle or a panel; null where it stands alone.</param>
/// <param name="Value">The record.</param>
public sealed record Stored<T>(string Id, int Version, string? OwnerId, T Value)
    where T : notnull;
