using Abri.Core.Geometry;
using Abri.Core.Linings;
using Abri.Core.Load;
using Abri.Core.Record;

namespace Abri.Core.Stages;

/// <summary>Ways to make a vehicle lighter: deadening only where it works, thinner linings, tanks filled later.</summary>
internal static class LighterWays
{
    /// <summary>Thicknesses of board that shops have, mm: assumption.</summary>
    private static readonly double[] UsualMm = [3, 4, 5, 6, 6.5, 9, 12, 15, 18];

    /// <summary>Thinnest lining that holds a screw and stays flat between battens, mm: common practice.</summary>
    private const double ThinnestLiningMm = 3;

    /// <summary>A tank is worth emptying from so much, kg; driven with so much of it, %: assumptions.</summary>
    private const double WorthKg = 10,
        KeptPercent = 20;

    public static IReadOnlyList<LighterWay> Of(VehicleSnapshot of, IReadOnlyList<LoadLine> lines) =>
        [
            .. lines
                .Select(l => l.Item)
                .Where(i => i is { Kind: LoadKind.Deadening, IsIn: false, TakenOut: false })
                .Select(i => new LighterWay(
                    $"{i.Name}: cover a quarter of each field, in its middle",
                    i.Kg * (1 - Deadening.Enough),
                    "Hardly anything, where it was to cover all of it: a quarter gives most of the effect (common practice)."
                ))
                .Concat(
                    of.Floor.Linings.Select(l => Thinner(l.Value, lines.FirstOrDefault(x => x.Id == l.Id)?.Item, of.Lengths)).OfType<LighterWay>()
                )
                .Concat(
                    lines
                        .Select(l => l.Item)
                        .Where(i => i.Kind == LoadKind.Tank && i.In(LoadState.Travel) - (i.Kg * KeptPercent / 100) >= WorthKg)
                        .Select(i => new LighterWay(
                            $"{i.Name}: drive with {KeptPercent:0} % and fill up where you stay",
                            i.In(LoadState.Travel) - (i.Kg * KeptPercent / 100),
                            "A stop for water or fuel near the end of the way. A half-full tank without baffles moves in bends."
                        ))
                )
                .OrderByDescending(w => w.SavesKg),
        ];

    /// <summary>The next thinner board for a lining that is not sawn yet. Its sag between battens goes with the fourth power of their distance and
    /// falls with the third power of its thickness.</summary>
    private static LighterWay? Thinner(Lining lining, LoadItem? item, LengthFormat lengths)
    {
        double now = lining.Sheet.ThickMm;
        if (item is null || lining.State != LiningState.Planned)
            return null;
        double next = UsualMm.Where(t => t < now - 0.4 && t >= ThinnestLiningMm).DefaultIfEmpty(0).Max();
        return next == 0
            ? null
            : new LighterWay(
                $"{lining.Name}: {lengths.Text(next)} instead of {lengths.Text(now)}",
                item.Kg * (1 - (next / now)),
                $"Battens at {Math.Pow(next / now, 0.75) * 100:0} % of the distance, for the same sag; as they are it sags "
                    + $"{Math.Pow(now / next, 3):0.0} times as much."
            );
    }
}
