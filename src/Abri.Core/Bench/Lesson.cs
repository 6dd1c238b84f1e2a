using Abri.Core.Declared;
using Abri.Core.Geometry;
using Abri.Core.Shell;
using Abri.Core.Work;

namespace Abri.Core.Bench;

/// <summary>What was learned at a step, told at the same step of the next job of that kind, on every vehicle.</summary>
/// <param name="Kind">Kind of the job, such as <c>opening/RoofVent</c>.</param>
/// <param name="Key">Key of the step.</param>
/// <param name="Job">The job at which it was learned.</param>
/// <param name="Of">Names of the job and its vehicle.</param>
/// <param name="On">When.</param>
/// <param name="What">What went wrong, or what to think of.</param>
/// <param name="Prevention">What would have prevented it; empty where nobody said.</param>
public sealed record Lesson(string Kind, string Key, Job Job, string Of, DateOnly On, string What, string Prevention)
{
    /// <summary>So many are told at a step, the newest ones.</summary>
    public const int MostTold = 5;
}

/// <summary>Something that went wrong at a step, or that was found there.</summary>
/// <param name="By">Who saw it.</param>
/// <param name="Name">What it is.</param>
/// <param name="Kind">Of what kind.</param>
/// <param name="Severity">How bad it is.</param>
/// <param name="Seen">From which side it was seen.</param>
/// <param name="Notes">Notes.</param>
/// <param name="Prevention">What would have prevented it, told at the same step of the next job; empty where nothing is to be told.</param>
public sealed record StepProblem(
    [Name(80, "Say who saw it, in up to 80 characters.")] string By,
    [Name] string Name,
    FindingKind Kind,
    Severity Severity,
    ViewedFrom Seen,
    [Notes] string Notes,
    [Letters(300, "Say in up to 300 characters what would have prevented it.")] string Prevention
);
