using Abri.Storage;

namespace Abri.Server;

/// <summary>Says in plain words why a file could not be written.</summary>
internal static class DiskTrouble
{
    /// <summary>Code of an answer that there is no room.</summary>
    public const string Full = "disk-full";

    /// <summary>Its status: insufficient storage (RFC 4918, 11.5).</summary>
    public const int FullStatus = 507;

    /// <summary>A status, a stable code and a sentence that a person can act on; null where the disk is not to blame.</summary>
    public static (int Status, string Code, string Message)? Of(IOException e) =>
        e switch
        {
            _ when DiskError.IsFull(e) => (FullStatus, Full, "The disk is full. Nothing was changed; make room and try again."),
            _ when DiskError.IsReadOnly(e) => (
                503,
                "disk-read-only",
                "The data folder cannot be written. Nothing was changed; give this user the right to write it."
            ),
            _ => null,
        };
}
