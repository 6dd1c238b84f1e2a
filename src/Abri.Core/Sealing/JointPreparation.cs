using Abri.Core.Shell;

namespace Abri.Core.Sealing;

/// <summary>How a joint lies.</summary>
public enum JointLies
{
    /// <summary>Seen from above, as on a roof.</summary>
    Flat,

    /// <summary>On a wall.</summary>
    Upright,

    /// <summary>Seen from below.</summary>
    Overhead,
}

/// <summary>What every joint wants before, while and after it is sealed.</summary>
/// <remarks>Common practice; the product's sheet comes first.</remarks>
public static class JointPreparation
{
    /// <summary>How the joints of a panel lie.</summary>
    public static JointLies LiesOn(Facing facing) =>
        facing switch
        {
            Facing.Up => JointLies.Flat,
            Facing.Down => JointLies.Overhead,
            _ => JointLies.Upright,
        };

    /// <summary>The preparation of a joint for a product.</summary>
    /// <param name="joint">The joint.</param>
    /// <param name="product">What seals it; null until it is chosen.</param>
    internal static IEnumerable<string> Of(Joint joint, Product? product)
    {
        Substrate[] sides = [.. new[] { joint.One, joint.Other }.Distinct()];
        Substrate? plastic = JointHistory.PlasticOf(joint);
        yield return plastic is { } crazes
            ? $"Clean: {Words.Of(crazes)} with soap and water only, solvent crazes it; the other side with a degreaser, one way, fresh cloth."
            : "Clean: dust off, then a degreaser, one way, with a fresh cloth; let it dry.";
        yield return sides.Contains(Substrate.Glass) && sides.Length == 1
            ? "Glass is not abraded: activator by the kit."
            : "Abrade: dull both sides with a fine pad, wipe the dust off.";
        if (sides.Any(s => s is Substrate.BareSteel or Substrate.GalvanisedSteel))
            yield return "Prime bare metal, at every scratch too: sealant alone does not keep rust away.";
        Substrate[] primed = [.. sides.Where(s => product?.To(s) == Adhesion.WithPrimer)];
        if (primed.Length > 0)
            yield return $"Its own primer on {string.Join(" and ", primed.Select(Words.Of))}, and the time on its sheet.";
        if (product?.Setting == Setting.AtOnce)
        {
            yield return "Press it down with a roller from one end, so that no air is shut in; ends overlap or butt without a gap.";
            yield break;
        }
        yield return "Mask both sides of the bead.";
        yield return product?.Family is ProductFamily.LapSealant or ProductFamily.SiliconeRoofCoating
            ? "It levels itself: no tooling. Pull the tape while it is wet."
            : "Tool it in one go before it skins, then pull the tape while it is wet.";
    }
}
