using Abri.Core.Declared;
using Abri.Core.Geometry;

namespace Abri.Core.Water;

/// <summary>A hole or slot by which water leaves.</summary>
/// <param name="Name">What people call it.</param>
/// <param name="Place">Where on the panel.</param>
/// <param name="ClearedAt">When it was last cleared, UTC; null when not known.</param>
/// <param name="Notes">Anything worth keeping.</param>
public sealed record Drain([Name] string Name, PanelPoint Place, [Dated] DateTimeOffset? ClearedAt, [Notes] string Notes)
{
    /// <summary>A drain is looked at again after so many months: assumption.</summary>
    public const int LookAgainMonths = 6;
}
