using System.Collections.Concurrent;

namespace Abri.Server.Api;

/// <summary>Keeps what was worked out of the data until the data changes; who asks meanwhile waits for the one that works.</summary>
/// <typeparam name="T">What is worked out.</typeparam>
internal sealed class Kept<T>
{
    /// <summary>Most answers that are kept; then one starts anew.</summary>
    private const int Most = 200;

    private readonly ConcurrentDictionary<string, Answer> answers = new();

    /// <summary>The answer as the data stands now.</summary>
    /// <param name="key">What is asked about.</param>
    /// <param name="revision">The state of the data, as it was before anything was read.</param>
    /// <param name="work">Works it out of data of one moment.</param>
    public Task<T> Of(string key, long revision, Func<T> work)
    {
        if (answers.Count > Most)
            answers.Clear();
        Answer New() => new(revision, new Lazy<Task<T>>(() => Task.Run(work)));
        return answers.AddOrUpdate(key, _ => New(), (_, kept) => kept.Revision >= revision && !kept.HasFailed ? kept : New()).Work.Value;
    }

    private sealed record Answer(long Revision, Lazy<Task<T>> Work)
    {
        public bool HasFailed => Work.IsValueCreated && Work.Value.IsFaulted;
    }
}
