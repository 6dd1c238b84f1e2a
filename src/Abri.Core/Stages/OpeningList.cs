using Abri.Core.Openings;
using Abri.Core.Procedures;
using Abri.Core.Record;
using Abri.Core.Sealing;

namespace Abri.Core.Stages;

/// <summary>How an opening of a vehicle stands.</summary>
/// <param name="Id">Its id.</param>
/// <param name="Standing">How it stands, and what comes next.</param>
/// <param name="Product">What seals it; null until it is chosen.</param>
public sealed record ListedOpening(string Id, OpeningStanding Standing, string? Product);

/// <summary>Looks over all openings of a vehicle.</summary>
public static class OpeningList
{
    /// <summary>The openings of a vehicle, panel by panel.</summary>
    public static IReadOnlyList<ListedOpening> Of(VehicleSnapshot of) =>
        [
            .. of.Openings.Select(row =>
            {
                Joint? joint = of.JointOf(row)?.Value;
                return new ListedOpening(row.Id, OpeningProgress.Of(row.Value, OpeningSites.Of(of, row), joint), of.Product(joint?.ProductId)?.Name);
            }),
        ];

    /// <summary>What moves the air of a vehicle: its openings that let air pass.</summary>
    public static IReadOnlyList<AirWay> Air(VehicleSnapshot of) =>
        [
            .. of
                .Openings.Select(o => AirWay.Of(o.Value.Name, of.PanelOf(o).Value, of.FittingOf(o.Value).Turned(o.Value.TurnDeg), o.Value.Centre))
                .OfType<AirWay>(),
        ];
}
