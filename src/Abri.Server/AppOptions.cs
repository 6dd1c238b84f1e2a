using Abri.Storage;

namespace Abri.Server;

/// <summary>How the program was started.</summary>
/// <param name="Port">Port on the loopback address; 0 for any free one.</param>
/// <param name="Folder">The claimed data folder.</param>
/// <param name="WithDemo">Whether an empty database gets the demo vehicle.</param>
/// <param name="Now">To which moment the program's clock is set; null for the machine's time.</param>
public sealed record AppOptions(int Port, DataFolder Folder, bool WithDemo, DateTimeOffset? Now = null);
