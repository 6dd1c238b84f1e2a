using Abri.Core.Metal;
using Abri.Core.Work;

namespace Abri.Core.Procedures;

/// <summary>A repair worked out.</summary>
/// <param name="Advice">What the rules say of the metal; null where none was looked at.</param>
/// <param name="Patch">The patch or plate; null where there is none, or the repair is for a licensed workshop.</param>
/// <param name="Holes">How holes are closed; null where there are none.</param>
/// <param name="Verdict">The repair in a sentence.</param>
/// <param name="Procedure">How it is done.</param>
/// <param name="LookAgainMonths">Months after which it is looked at again; null where it need not be.</param>
/// <param name="Window">How an old window comes out; null where there is none.</param>
/// <param name="Door">The door with its readings; null where there is none.</param>
/// <param name="IsForWorkshop">Whether it only protects what a licensed workshop has to repair.</param>
/// <param name="Opens">Whether the shell may stand open from when it is begun.</param>
/// <param name="Seals">Whether it keeps water out once it is done, so that a water test tells.</param>
public sealed record RepairPlan(
    RustAdvice? Advice,
    PatchPlan? Patch,
    HoleRowPlan? Holes,
    string Verdict,
    Procedure Procedure,
    int? LookAgainMonths,
    WindowOutPlan? Window = null,
    DoorPlan? Door = null,
    bool IsForWorkshop = false,
    bool Opens = false,
    bool Seals = false
);
