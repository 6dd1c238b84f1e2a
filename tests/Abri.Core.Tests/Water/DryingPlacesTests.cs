using Abri.Core.Geometry;
using Abri.Core.Water;

namespace Abri.Core.Tests.Water;

public sealed class DryingPlacesTests
{
    private static readonly DateTimeOffset Begin = new(2031, 5, 1, 8, 0, 0, TimeSpan.Zero);

    private static MeterReading Reading(double s, double t, double hours, double percent, string panel = "floor") =>
        new(panel, new PanelPoint(s, t), Begin.AddHours(hours), percent);

    // The example of Drying: 30, 24 and 20 % at 0, 48 and 96 h reach 16 % 82 h after the last reading.
    [Fact]
    public void A_board_that_was_read_three_times_has_its_date()
    {
        DryingPlace place = Assert.Single(DryingPlaces.Of([Reading(0, 0, 96, 20), Reading(0, 0, 0, 30), Reading(0, 0, 48, 24)]));
        Assert.Equal([30, 24, 20], place.MoisturePercents);
        Assert.Equal(DryingState.Drying, place.Outlook!.Result.State);
        Assert.Equal(Begin.AddHours(96), place.LastAt);
        Assert.Equal(82, (place.DryAt!.Value - place.LastAt).TotalHours, 0.5);
    }

    [Theory]
    [InlineData(99.9, 1)]
    [InlineData(100, 1)]
    [InlineData(100.1, 2)]
    public void A_hand_s_width_is_one_place(double awayMm, int places) =>
        Assert.Equal(places, DryingPlaces.Of([Reading(0, 0, 0, 30), Reading(awayMm, 0, 24, 25)]).Count);

    [Fact]
    public void The_same_spot_of_another_panel_is_another_place() =>
        Assert.Equal(2, DryingPlaces.Of([Reading(0, 0, 0, 30), Reading(0, 0, 24, 25, "left")]).Count);

    [Fact] // The first reading is the place: a row of readings a hand apart does not creep along a board.
    public void Places_do_not_creep()
    {
        IReadOnlyList<DryingPlace> places = DryingPlaces.Of([Reading(0, 0, 0, 30), Reading(90, 0, 24, 25), Reading(180, 0, 48, 22)]);
        Assert.Equal([2, 1], places.Select(p => p.MoisturePercents.Count));
    }

    [Fact]
    public void One_reading_foretells_nothing() => Assert.Null(Assert.Single(DryingPlaces.Of([Reading(0, 0, 0, 30)])).Outlook);

    [Fact]
    public void What_is_dry_or_grows_wetter_has_no_date()
    {
        Assert.Null(Assert.Single(DryingPlaces.Of([Reading(0, 0, 0, 20), Reading(0, 0, 48, 15)])).DryAt);
        Assert.Null(Assert.Single(DryingPlaces.Of([Reading(0, 0, 0, 20), Reading(0, 0, 48, 26)])).DryAt);
    }
}
