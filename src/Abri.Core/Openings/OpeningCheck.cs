using Abri.Core.Shell;

namespace Abri.Core.Openings;

/// <summary>Says what is contradictory about an opening on its panel, or that nothing is.</summary>
public static class OpeningCheck
{
    /// <summary>The first contradiction, or null.</summary>
    public static Problem? Of(Panel panel, Opening opening) =>
        panel.Box.Holds(opening.Centre) ? null : new Problem("centre-off-panel", "/centre", "The centre of the opening lies off the panel.");
}
