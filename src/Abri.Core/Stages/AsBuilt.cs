using Abri.Core.Openings;
using Abri.Core.Record;

namespace Abri.Core.Stages;

/// <summary>A hole as it was cut, beside what was planned.</summary>
/// <param name="OpeningId">Id of the opening.</param>
/// <param name="PanelId">Its panel.</param>
/// <param name="Name">Its name.</param>
/// <param name="State">How far it has come.</param>
/// <param name="Frame">What was planned, turned as it is placed.</param>
/// <param name="Measured">The six readings.</param>
/// <param name="Fit">How the frame sits in it; null where the readings cannot be those of a hole.</param>
/// <param name="Trouble">Why they cannot; null where they can.</param>
public sealed record AsBuilt(
    string OpeningId,
    string PanelId,
    string Name,
    OpeningState State,
    Frame Frame,
    AsCut Measured,
    HoleFit? Fit,
    string? Trouble
)
{
    /// <summary>All holes of a vehicle that were measured.</summary>
    public static IReadOnlyList<AsBuilt> Of(VehicleSnapshot of) =>
        [.. of.Openings.Where(o => o.Value.AsCut is not null).Select(o => Of(of, o, o.Value.AsCut!))];

    private static AsBuilt Of(VehicleSnapshot of, Stored<Opening> opening, AsCut measured)
    {
        var frame = Frame.Of(of.FittingOf(opening.Value), opening.Value.TurnDeg);
        bool ok = HoleCheck.Of(frame, measured, of.PanelOf(opening).Value.Facing, of.Lengths).IsOk(out Worked<HoleFit>? fit, out Problem? problem);
        return new AsBuilt(
            opening.Id,
            opening.OwnerId!,
            opening.Value.Name,
            opening.Value.State,
            frame,
            measured,
            ok ? fit!.Result : null,
            problem?.Message
        );
    }
}
