using Abri.Core.Geometry;
using Abri.Core.Metal;
using Abri.Core.Openings;
using Abri.Core.Record;
using Abri.Core.Shell;
using Abri.Core.Work;

namespace Abri.Core.Stages;

/// <summary>A place where rain comes in, or may.</summary>
/// <param name="Job">What it belongs to.</param>
/// <param name="Name">Its name.</param>
public sealed record OpenPlace(Job Job, string Name);

/// <summary>Where the shell stands open.</summary>
/// <remarks>
/// Openings that are cut and not fitted; repairs that open the shell from when they are begun; both until the step that closes it is done. Old
/// windows that are out until an opening is fitted or a patch is done over their hole. What may be open counts as open.
/// </remarks>
public static class OpenShell
{
    /// <summary>The places, openings first.</summary>
    public static IReadOnlyList<OpenPlace> Of(VehicleSnapshot of) =>
        [
            .. of.Openings.Where(o => IsOpen(of, o)).Select(o => new OpenPlace(new Job(JobKind.Opening, o.Id), o.Value.Name)),
            .. of.Repairs.Where(r => IsOpen(of, r)).Select(r => new OpenPlace(new Job(JobKind.Repair, r.Id), r.Value.Name)),
        ];

    /// <summary>Whether a hole is cut and nothing closes it yet.</summary>
    internal static bool IsOpen(VehicleSnapshot of, Stored<Opening> row) =>
        row.Value.State == OpeningState.Cut && LastChange(of, new Job(JobKind.Opening, row.Id)) != ShellChange.Closes;

    /// <summary>What the last step of a job did to the shell that did anything to it.</summary>
    private static ShellChange LastChange(VehicleSnapshot of, Job job) =>
        of.Done.Where(d => d.Value.Job == job && d.Value.Shell != ShellChange.None).MaxBy(d => d.Value.At)?.Value.Shell ?? ShellChange.None;

    private static bool IsOpen(VehicleSnapshot of, Stored<Repair> row)
    {
        Stored<Panel> panel = of.PanelOf(row);
        Repair repair = MetalOfVehicle.Work(of, panel, row.Value).Allowed;
        return repair.Opens
            && LastChange(of, new Job(JobKind.Repair, row.Id)) != ShellChange.Closes
            && (repair.State == RepairState.Doing || (repair.Kind == RepairKind.WindowOut && repair.IsOver && !IsClosed(of, panel, repair)));
    }

    /// <summary>Whether something closes the hole of an old window.</summary>
    private static bool IsClosed(VehicleSnapshot of, Stored<Panel> panel, Repair window)
    {
        NetTopologySuite.Geometries.Geometry hole = Plane.Polygon(window.Points);
        IEnumerable<IReadOnlyList<PanelPoint>> fitted = of
            .Openings.On(panel.Id)
            .Values()
            .Where(o => o.State is OpeningState.Cut or OpeningState.Fitted)
            .Select(o => MetalOfVehicle.ShapeOf(of, o, f => f.Flange));
        IEnumerable<IReadOnlyList<PanelPoint>> patched = of
            .Repairs.On(panel.Id)
            .Values()
            .Where(r => r is { Kind: RepairKind.Patch or RepairKind.Plate, IsOver: true })
            .Select(r => MetalOfVehicle.Outline(r, panel.Value));
        return fitted.Concat(patched).Any(shape => Plane.Polygon(shape).Intersects(hole));
    }
}
