using Abri.Core.Declared;

namespace Abri.Core.Stores;

/// <summary>A tool that somebody lent.</summary>
/// <param name="Name">What it is, as steps name their tools.</param>
/// <param name="Lender">Who lent it.</param>
/// <param name="Until">Last day on which it is there.</param>
/// <param name="IsBack">Whether it was given back.</param>
/// <param name="Notes">Anything worth keeping.</param>
public sealed record BorrowedTool(
    [Name] string Name,
    [Letters(80, "Who lent it has at most 80 characters.")] string Lender,
    [Dated] DateOnly Until,
    bool IsBack,
    [Notes] string Notes
);
