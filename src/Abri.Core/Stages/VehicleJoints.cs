using Abri.Core.Metal;
using Abri.Core.Record;
using Abri.Core.Sealing;
using Abri.Core.Shell;

namespace Abri.Core.Stages;

/// <summary>A joint that follows from the shell and that nobody wrote down yet.</summary>
/// <param name="PanelId">On which panel.</param>
/// <param name="Joint">The joint.</param>
public sealed record OfferedJoint(string PanelId, Joint Joint);

/// <summary>What is wrong in what was done to a joint.</summary>
/// <param name="JointId">Which joint.</param>
/// <param name="Fault">What.</param>
public sealed record JointFault(string JointId, string Fault);

/// <summary>A joint that is sealed.</summary>
/// <param name="JointId">The joint.</param>
/// <param name="On">When it was last sealed; nothing was stripped since.</param>
public sealed record SealedJoint(string JointId, DateOnly On);

/// <summary>How the joints of a panel lie.</summary>
/// <param name="PanelId">The panel.</param>
/// <param name="Lies">How they lie.</param>
public sealed record PanelLies(string PanelId, JointLies Lies);

/// <summary>The joints of a vehicle.</summary>
/// <param name="Joints">Those written down; their owner is the panel.</param>
/// <param name="Offered">Those that follow from the shell.</param>
/// <param name="Faults">What is wrong in their histories.</param>
/// <param name="Lies">How the joints of each panel lie.</param>
public sealed record VehicleJoints(
    IReadOnlyList<Stored<Joint>> Joints,
    IReadOnlyList<OfferedJoint> Offered,
    IReadOnlyList<JointFault> Faults,
    IReadOnlyList<PanelLies> Lies
)
{
    /// <summary>Those written down that are sealed.</summary>
    public IReadOnlyList<SealedJoint> Shut { get; init; } =
    [.. Joints.SelectMany(j => JointHistory.SealedOn(j.Value) is { } on ? new[] { new SealedJoint(j.Id, on) } : [])];

    private static bool Sealed(VehicleSnapshot of, Stored<Panel> panel, string findingId) =>
        of.Repairs.On(panel.Id).Any(r => r.Value.FindingIds.Contains(findingId) && OfRepair(of, panel, r) is not null);

    private static Joint? OfRepair(VehicleSnapshot of, Stored<Panel> panel, Stored<Repair> repair) =>
        RepairJoints.Of(repair.Id, MetalOfVehicle.Work(of, panel, repair.Value).Allowed, panel.Value);

    /// <summary>The joints of a vehicle: those written down and those that its shell offers.</summary>
    public static VehicleJoints Of(VehicleSnapshot of) =>
        new(
            of.Joints,
            [
                .. of.Panels.SelectMany(panel =>
                    OfferedJoints
                        .Of(
                            panel.Value,
                            [.. of.MembersOn(panel)],
                            [.. of.Openings.On(panel.Id).Select(o => new JointedOpening(o.Id, o.Value, of.FittingOf(o.Value)))],
                            // What a repair seals is offered as the repair's.
                            [.. of.Findings.On(panel.Id).Where(f => !Sealed(of, panel, f.Id))],
                            of.Joints.On(panel.Id).Values()
                        )
                        .Concat(
                            of.Repairs.On(panel.Id)
                                .Where(r => of.Joints.All(j => j.Value.Of != new JointOf(JointOfKind.Repair, r.Id)))
                                .Select(r => OfRepair(of, panel, r))
                                .OfType<Joint>()
                        )
                        .Select(joint => new OfferedJoint(panel.Id, joint))
                ),
            ],
            [.. of.Joints.SelectMany(j => JointHistory.Faults(j.Value).Select(fault => new JointFault(j.Id, fault)))],
            [.. of.Panels.Select(p => new PanelLies(p.Id, JointPreparation.LiesOn(p.Value.Facing)))]
        );
}
