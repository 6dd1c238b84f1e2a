using Abri.Core.Geometry;

namespace Abri.Core.Shell;

/// <summary>Says whether places lie on a panel, or hardly off it.</summary>
public static class PlaceCheck
{
    /// <summary>The first place that lies off the panel by more than the usual overhang, or null.</summary>
    /// <param name="panel">The panel.</param>
    /// <param name="places">The places.</param>
    /// <param name="code">Code of the problem.</param>
    /// <param name="field">JSON pointer to the places.</param>
    public static Problem? Of(Panel panel, IEnumerable<PanelPoint> places, string code, string field)
    {
        PanelBox reach = panel.Box.Grown(ShellCheck.OverhangMm);
        foreach (PanelPoint p in places)
        {
            if (!reach.Holds(p))
                return new Problem(
                    code,
                    field,
                    $"s {p.SMm:0.#} mm, t {p.TMm:0.#} mm lies off the panel, which spans s {panel.Box.SMinMm:0.#} to "
                        + $"{panel.Box.SMaxMm:0.#} mm and t {panel.Box.TMinMm:0.#} to {panel.Box.TMaxMm:0.#} mm."
                );
        }
        return null;
    }
}
