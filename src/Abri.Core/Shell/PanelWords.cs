namespace Abri.Core.Shell;

/// <summary>What people call the parts of a shell.</summary>
public static class PanelWords
{
    /// <summary>What people call a panel, as it begins a line.</summary>
    public static string Title(Panel panel)
    {
        string name = panel.Name ?? Name(panel.Kind);
        return char.ToUpperInvariant(name[0]) + name[1..];
    }

    /// <summary>The usual name of a kind of panel, without an article.</summary>
    public static string Name(PanelKind kind) =>
        kind switch
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
