using Abri.Core.Openings;
using Abri.Core.Sealing;
using Abri.Storage;
using Abri.Storage.Openings;
using Abri.Storage.Sealing;
using Abri.Storage.Shell;

namespace Abri.Server.Sealing;

/// <summary>A joint that follows from the shell and that nobody wrote down yet.</summary>
/// <param name="PanelId">On which panel.</param>
/// <param name="Joint">The joint.</param>
public sealed record OfferedJoint(string PanelId, Joint Joint);

/// <summary>What is wrong in what was done to a joint.</summary>
/// <param name="JointId">Which joint.</param>
/// <param name="Fault">What.</param>
public sealed record JointFault(string JointId, string Fault);

/// <summary>The joints of a vehicle.</summary>
/// <param name="Joints">Those written down; their owner is the panel.</param>
/// <param name="Offered">Those that follow from the shell.</param>
/// <param name="Faults">What is wrong in their histories.</param>
public sealed record VehicleJoints(IReadOnlyList<Stored<Joint>> Joints, IReadOnlyList<OfferedJoint> Offered, IReadOnlyList<JointFault> Faults);

/// <summary>Gathers the joints of a vehicle: those written down and those that its shell offers.</summary>
internal sealed class VehicleJointReader(PanelStore panels, MemberStore members, OpeningStore openings, FittingStore fittings, FindingStore findings, JointStore joints)
{
    public VehicleJoints Of(string vehicleId)
    {
        var kept = new List<Stored<Joint>>();
        var offered = new List<OfferedJoint>();
        Dictionary<string, Fitting> byId = fittings.All().ToDictionary(f => f.Id, f => f.Value);
        foreach (var panel in panels.All(vehicleId))
        {
            IReadOnlyList<Stored<Joint>> own = joints.All(panel.Id);
            kept.AddRange(own);
            IReadOnlyList<Joint> more = OfferedJoints.Of(
                panel.Value, [.. members.All(panel.Id).Select(m => m.Value)], [.. openings.All(panel.Id).Select(o => new JointedOpening(o.Value, byId[o.Value.FittingId]))],
                [.. findings.All(panel.Id).Select(f => f.Value)], [.. own.Select(j => j.Value)]);
            offered.AddRange(more.Select(j => new OfferedJoint(panel.Id, j)));
        }
        return new VehicleJoints(kept, offered, [.. kept.SelectMany(j => JointHistory.Faults(j.Value).Select(fault => new JointFault(j.Id, fault)))]);
    }
}
