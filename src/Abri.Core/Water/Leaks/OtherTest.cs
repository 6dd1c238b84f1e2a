namespace Abri.Core.Water.Leaks;

/// <summary>A way to look for a leak besides spraying.</summary>
/// <param name="Id">What it is known by.</param>
/// <param name="Name">What people call it.</param>
/// <param name="When">When it is worth more than a hose.</param>
/// <param name="Do">How it is done.</param>
public sealed record OtherTest(string Id, string Name, string When, string Do)
{
    /// <summary>All of them: common practice, no source.</summary>
    public static IReadOnlyList<OtherTest> All { get; } =
    [
        new(
            "air",
            "Air pressure and soapy water",
            "Many suspects, cold weather, or wood that is wet already: it brings no more water in.",
            "Shut everything, tape over vents and drains inside, set a fan of a heater or a leaf blower into a window with a board. Brush "
                + "soapy water over seams and "
                + "screws outside: it bubbles where air comes out. Nobody inside, no burner lit, not more than a blower gives."
        ),
        new(
            "dye",
            "Dyed water",
            "Two suspects at one stain, or water that runs a long way.",
            "A little food dye in the can, another colour for each suspect, poured slowly at one place after the other. It stains cloth "
                + "and bare wood: sheets below."
        ),
        new(
            "tissue",
            "Rows of tissue",
            "A slow leak that only shows on the road or overnight.",
            "Dry everything, lay tissue in rows along seams and at the low ends of ribs, each with its number. Look after the next rain "
                + "or drive: the highest wet one is "
                + "nearest to where it gets in."
        ),
        new(
            "meter",
            "Moisture meter",
            "Wood or lining that is wet already, where a look sees no more.",
            "Readings on a grid, written down with place and time, before and after rain or spray. What matters is what rises, not what is high. "
                + "Meters for wood read too high "
                + "near metal and foil."
        ),
    ];
}
