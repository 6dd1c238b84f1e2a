namespace Abri.Storage;

/// <summary>What the system said when a file could not be written: the number of the error as the system gives it, or as Windows does.</summary>
public static class DiskError
{
    private const int NoSpace = 28,
        ReadOnlyDisk = 30,
        QuotaExceeded = 122,
        WindowsDiskFull = 0x70,
        WindowsWriteProtected = 0x13;

    /// <summary>Whether there is no room.</summary>
    public static bool IsFull(IOException e) => Number(e) is NoSpace or QuotaExceeded or WindowsDiskFull;

    /// <summary>Whether the disk takes no changes.</summary>
    public static bool IsReadOnly(IOException e) => Number(e) is ReadOnlyDisk or WindowsWriteProtected;

    private static int Number(IOException e) => e.HResult & 0xFFFF;
}
