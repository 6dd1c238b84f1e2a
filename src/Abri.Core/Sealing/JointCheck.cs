using Abri.Core.Geometry;

namespace Abri.Core.Sealing;

/// <summary>Says what is contradictory about a joint, or that nothing is.</summary>
public static class JointCheck
{
    /// <summary>The first contradiction, or null.</summary>
    public static Problem? Of(Joint joint)
    {
        if (joint.MovementMm > 0 && joint.GapMm <= 0)
            return new Problem(
                "joint-without-width",
                "/gapMm",
                "A joint that moves needs a width to move in: give its gap, or the thickness of its bond."
            );
        if (joint.Of is { Kind: JointOfKind.ShellSeam } of && !Enum.GetValues<Side>().Any(side => OfferedJoints.SeamAt(side) == of))
            return new Problem(
                "joint-of-unknown",
                "/of/id",
                $"A shell has no seam at \"{of.Id}\": seams run at the front, rear, top and bottom of a panel."
            );
        for (int i = 1; i < joint.History.Count; i++)
        {
            if (joint.History[i].On < joint.History[i - 1].On)
                return new Problem(
                    "history-order",
                    $"/history/{i}/on",
                    "What was done stands in order of time: this was done before the entry above it."
                );
        }
        return null;
    }
}
