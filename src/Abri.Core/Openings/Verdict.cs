using Abri.Core.Geometry;
using Abri.Core.Work;

namespace Abri.Core.Openings;

/// <summary>The judgement of a position by all rules.</summary>
/// <param name="State">The worst of the rows.</param>
/// <param name="Summary">The judgement in a few words.</param>
/// <param name="Reason">What decides it.</param>
/// <param name="Clearances">Distance from the cut edge to the nearest member, or the panel's edge, on each side, mm.</param>
/// <param name="Rows">One row per rule, worst first.</param>
/// <param name="Cautions">What can hurt the person who does the work.</param>
public sealed record Verdict(
    JudgementState State,
    string Summary,
    string Reason,
    PerSide Clearances,
    IReadOnlyList<Judgement> Rows,
    IReadOnlyList<string> Cautions
);
