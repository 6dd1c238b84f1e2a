using Abri.Core.Floor;
using Abri.Core.Geometry;

namespace Abri.Core.Tests.Floor;

/// <summary>How many whole sheets a job takes by itself.</summary>
public class SheetsNeededTests
{
    private static NewSheet Sheet => NewSheet.Usual(BoardMaterial.BirchPly, 15);

    private static FloorPiece Piece(double length, double width, Grain grain = Grain.Lengthways) => new("New board", [], length, width, grain);

    [Theory] // By hand, with a kerf of 3.2: 1218 twice are 2439.2 of 2440, 608 twice 1219.2 of 1220; 1219 twice are too long
    [InlineData(1218, 608, 4, 1)]
    [InlineData(1219, 608, 4, 2)]
    [InlineData(1219, 608, 5, 3)]
    [InlineData(2500, 600, 2, 2)]
    public void Rows_and_kerfs_decide(double length, double width, int count, int sheets) =>
        Assert.Equal(sheets, SheetsNeeded.Of([.. Enumerable.Repeat(Piece(length, width), count)], Sheet));

    [Fact]
    public void Grain_across_turns_a_piece_onto_its_sheet()
    {
        Assert.Equal(1, SheetsNeeded.Of([Piece(1200, 2400, Grain.Across)], Sheet));
        Assert.Equal(0, SheetsNeeded.Of(Array.Empty<FloorPiece>(), Sheet));
    }

    [Fact]
    public void More_pieces_than_a_plan_takes_are_counted_too() =>
        Assert.InRange(SheetsNeeded.Of([.. Enumerable.Range(0, 150).Select(i => Piece(300 + i, 200))], Sheet), 5, 10);

    [Fact] // 96 inches are 2438.4 mm: a board of 2440 is not in a sheet that is sold in inches
    public void A_sheet_in_inches_is_a_little_less_than_one_in_millimetres()
    {
        NewSheet inches = NewSheet.Usual(BoardMaterial.BirchPly, 15, UnitSystem.Inch);
        Assert.Equal((2438.4, 1219.2), (Math.Round(inches.LengthMm, 6), Math.Round(inches.WidthMm, 6)));
        Assert.Equal((2440.0, 1220.0), (Sheet.LengthMm, Sheet.WidthMm));
    }
}
