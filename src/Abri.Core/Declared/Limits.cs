namespace Abri.Core.Declared;

/// <summary>Limits that many fields share.</summary>
public static class Limits
{
    /// <summary>Longest panel, mm: a long coach has twelve metres.</summary>
    public const double LongestMm = 30_000;

    /// <summary>Most members of a panel.</summary>
    public const int MostMembers = 500;

    /// <summary>Most points of an outline, a footprint or a finding.</summary>
    public const int MostPoints = 500;
}
