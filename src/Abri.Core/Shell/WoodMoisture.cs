namespace Abri.Core.Shell;

/// <summary>Moistures of wood that decide something, % of dry mass: from memory of handbook figures.</summary>
public static class WoodMoisture
{
    /// <summary>What to do with wood that is wetter.</summary>
    internal const string DryOn = "Dry on, with air and a little warmth, and measure again tomorrow: what is closed over wet wood rots.";

    /// <summary>Limit for wood that is to be coated or covered.</summary>
    public const double CoatPercent = 16;

    /// <summary>From here on wood decays.</summary>
    public const double DecayPercent = 20;
}
