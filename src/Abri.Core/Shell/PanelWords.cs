namespace Abri.Core.Shell;

/// <summary>What people call the parts of a shell.</summary>
public static class PanelWords
{
    /// <summary>The usual name of a kind of panel, without an article.</summary>
    public static string Name(PanelKind kind) => kind switch
    {
        PanelKind.Left => "left side",
        PanelKind.Right => "right side",
        PanelKind.RearLeftDoor => "left rear door",
        PanelKind.RearRightDoor => "right rear door",
        PanelKind.SlidingDoor => "sliding door",
        PanelKind.Other => "other panel",
        _ => kind.ToString().ToLowerInvariant(),
    };
}
