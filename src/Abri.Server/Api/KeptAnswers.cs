using Microsoft.AspNetCore.OutputCaching;

namespace Abri.Server.Api;

/// <summary>
/// Answers that are worked out of a vehicle, kept as they were sent, compressed and all, until it changes; who asks meanwhile waits for the one that
/// works.
/// </summary>
internal sealed class KeptAnswers(Snapshots snapshots) : IOutputCachePolicy
{
    /// <summary>Name of the policy.</summary>
    public const string Policy = "vehicle";

    private const long MostBytes = 64 * 1024 * 1024,
        MostBytesEach = 4 * 1024 * 1024;

    private static readonly TimeSpan Kept = TimeSpan.FromMinutes(10);

    /// <summary>Sets it up.</summary>
    public static void Add(IServiceCollection services) =>
        services.AddOutputCache(options =>
        {
            (options.SizeLimit, options.MaximumBodySize, options.DefaultExpirationTimeSpan) = (MostBytes, MostBytesEach, Kept);
            options.AddPolicy(Policy, policy => policy.AddPolicy<KeptAnswers>().SetVaryByHeader("Accept-Encoding"));
        });

    /// <summary>
    /// An answer that nobody waited for to its end is not kept: writing stops without a word when who asked is gone, and the next who asks would get
    /// the
    /// half that was written.
    /// </summary>
    public static async Task WholeOnesOnly(HttpContext context, RequestDelegate next)
    {
        await next(context);
        if (context.RequestAborted.IsCancellationRequested && context.Features.Get<IOutputCacheFeature>() is { } feature)
            feature.Context.AllowCacheStorage = false;
    }

    /// <summary>An answer is another one as soon as the vehicle's tag is.</summary>
    public ValueTask CacheRequestAsync(OutputCacheContext context, CancellationToken cancellation)
    {
        string id = (string)context.HttpContext.GetRouteValue("vehicleId")!;
        context.CacheVaryByRules.VaryByValues["tag"] = snapshots.Tag(id, context.HttpContext.GetEndpoint());
        return ValueTask.CompletedTask;
    }

    /// <inheritdoc/>
    public ValueTask ServeFromCacheAsync(OutputCacheContext context, CancellationToken cancellation) => ValueTask.CompletedTask;

    /// <inheritdoc/>
    public ValueTask ServeResponseAsync(OutputCacheContext context, CancellationToken cancellation) => ValueTask.CompletedTask;
}
