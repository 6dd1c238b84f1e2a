namespace Abri.Server;

/// <summary>The program's clock: the machine's, or set to another moment from which it goes on.</summary>
/// <param name="setTo">The moment at which it begins; null for the machine's own time.</param>
public sealed class ProgramClock(DateTimeOffset? setTo = null) : TimeProvider
{
    private long aheadTicks = setTo is { } moment ? (moment - System.GetUtcNow()).Ticks : 0;

    /// <summary>Whether it was set, so that it may be stepped on.</summary>
    public bool IsSet { get; } = setTo is not null;

    /// <inheritdoc/>
    public override DateTimeOffset GetUtcNow() => System.GetUtcNow().AddTicks(Interlocked.Read(ref aheadTicks));

    /// <summary>Steps on.</summary>
    public void Step(TimeSpan by) => Interlocked.Add(ref aheadTicks, by.Ticks);
}
