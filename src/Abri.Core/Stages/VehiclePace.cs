using Abri.Core.Bench;
using Abri.Core.Days;
using Abri.Core.Record;
using Abri.Core.Shell;
using Abri.Core.Work;

namespace Abri.Core.Stages;

/// <summary>How long those who work on a vehicle take, by what they have done on its bench.</summary>
internal static class VehiclePace
{
    /// <summary>The factor on minutes that are counted on.</summary>
    public static double Of(VehicleSnapshot of) => Pace.Of(of.Done.Values(), (of.Vehicle.Value.Care ?? CutCare.Usual).Slow);

    /// <summary>The factor while the shell stands open: that somebody was quicker elsewhere does not shorten that.</summary>
    public static double WhileOpen(VehicleSnapshot of) => Math.Max(1, Of(of));

    /// <summary>From the cut until rain does no more harm, by that; null where nothing opens the shell.</summary>
    public static OpenSpan? SpanOf(VehicleSnapshot of, Procedure procedure) => OpenSpan.Of(procedure)?.Slowed(WhileOpen(of));
}
