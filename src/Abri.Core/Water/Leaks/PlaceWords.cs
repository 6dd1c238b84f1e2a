using Abri.Core.Geometry;
using Abri.Core.Shell;

namespace Abri.Core.Water.Leaks;

/// <summary>Says roughly where on a panel a place lies, as one would call it out.</summary>
internal static class PlaceWords
{
    /// <summary>Panel, part along it and part across it.</summary>
    public static string Of(WetPanel panel, PanelPoint at) => $"{panel.Name}, {Along(panel.Panel, at)}, {Across(panel.Panel, at)}";

    /// <summary>Which part across: how high on a side, how far to the left on a roof or floor.</summary>
    public static string Across(Panel panel, PanelPoint at) =>
        Third(
            at.TMm,
            panel.Box.TMinMm,
            panel.Box.TMaxMm,
            panel.Facing is Facing.Up or Facing.Down ? ["right", "centre", "left"] : ["low", "half way up", "high"]
        );

    private static string Along(Panel panel, PanelPoint at) =>
        Third(
            at.SMm,
            panel.Box.SMinMm,
            panel.Box.SMaxMm,
            panel.Facing is Facing.Rear or Facing.Front ? ["right part", "middle", "left part"] : ["front part", "middle", "rear part"]
        );

    private static string Third(double at, double from, double to, string[] words) => words[Math.Clamp((int)(3 * (at - from) / (to - from)), 0, 2)];
}
