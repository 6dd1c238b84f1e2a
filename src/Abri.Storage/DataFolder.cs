namespace Abri.Storage;

/// <summary>The folder that holds everything a person has entered, claimed by one running program at a time.</summary>
public sealed class DataFolder : IDisposable
{
    private readonly FileStream claim;

    private DataFolder(string path, FileStream claim) => (Path, this.claim) = (path, claim);

    /// <summary>Where it is.</summary>
    public string Path { get; }

    /// <summary>The database file in it.</summary>
    public string DatabaseFile => System.IO.Path.Combine(Path, "abri.db");

    /// <summary>The photos in it.</summary>
    public PhotoFolder Photos => new(System.IO.Path.Combine(Path, "photos"));

    /// <summary>Claims the folder, making it when it is not there.</summary>
    /// <exception cref="StorageException">Another program has it, or it cannot be written.</exception>
    public static DataFolder Claim(string path)
    {
        string full = System.IO.Path.GetFullPath(path);
        try
        {
            Directory.CreateDirectory(full);
            string lockFile = System.IO.Path.Combine(full, "abri.lock");
            return new DataFolder(full, new FileStream(lockFile, FileMode.OpenOrCreate, FileAccess.ReadWrite, FileShare.None));
        }
        catch (UnauthorizedAccessException e)
        {
            throw new StorageException(
                $"The data folder {full} cannot be written. Give this user the right to write it, or choose another with --data.",
                e
            );
        }
        catch (IOException e) when (DiskError.IsReadOnly(e) || DiskError.IsFull(e))
        {
            string why = DiskError.IsFull(e)
                ? "its disk is full. Make room"
                : "its disk takes no changes (it is mounted read-only). Make it writable";
            throw new StorageException($"The data folder {full} cannot be written: {why}, or choose another with --data.", e);
        }
        catch (IOException e)
        {
            throw new StorageException(
                $"The data folder {full} is in use by another running Abri, or cannot be opened. Stop the other one, or choose "
                    + "another folder with --data.",
                e
            );
        }
    }

    /// <summary>Gives the folder up.</summary>
    public void Dispose() => claim.Dispose();
}
