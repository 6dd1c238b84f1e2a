namespace Abri.Core;

/// <summary>Lets a search end when nobody waits for it any more.</summary>
internal static class Stopping
{
    /// <summary>The same things one by one, as long as somebody waits.</summary>
    /// <exception cref="OperationCanceledException">Nobody does.</exception>
    public static IEnumerable<T> Until<T>(this IEnumerable<T> things, CancellationToken stop)
    {
        foreach (T thing in things)
        {
            stop.ThrowIfCancellationRequested();
            yield return thing;
        }
    }
}
