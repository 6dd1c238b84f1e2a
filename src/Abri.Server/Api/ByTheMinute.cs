namespace Abri.Server.Api;

/// <summary>For addresses whose answers change with the clock: they are kept for a minute at most.</summary>
internal sealed class ByTheMinute
{
    /// <summary>Marks addresses.</summary>
    public static ByTheMinute Answers { get; } = new();
}
