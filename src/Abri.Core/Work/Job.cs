namespace Abri.Core.Work;

/// <summary>What a job is about.</summary>
public enum JobKind
{
    /// <summary>Something that was found, and for which nothing is planned yet.</summary>
    Finding,

    /// <summary>A repair of the shell.</summary>
    Repair,

    /// <summary>Bad wood that is replaced.</summary>
    Replacement,

    /// <summary>A new opening.</summary>
    Opening,

    /// <summary>A lining.</summary>
    Lining,

    /// <summary>Something that somebody wrote down by themselves.</summary>
    Own,
}

/// <summary>Something to do on a vehicle: what schedule, bench, stores and logbook refer to, whatever stage it comes from.</summary>
/// <param name="Kind">What it is about.</param>
/// <param name="Id">Id of the record that it is about.</param>
public sealed record Job(JobKind Kind, string Id);
