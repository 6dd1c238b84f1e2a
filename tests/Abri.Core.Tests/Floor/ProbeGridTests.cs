using Abri.Core.Floor;
using Abri.Core.Geometry;
using CsCheck;

namespace Abri.Core.Tests.Floor;

/// <summary>Grids of probes as people note them.</summary>
public class ProbeGridTests
{
    private static IReadOnlyList<GridProbe> Read(string text, LengthFormat? lengths = null)
    {
        Result<Worked<GridFound>> result = ProbeGrid.Parse(text, lengths ?? LengthFormat.Millimetres);
        Assert.Null(result.Problem);
        return result.Value!.Result.Probes;
    }

    private static string Wrong(string text) => ProbeGrid.Parse(text, LengthFormat.Millimetres).Problem!.Message;

    [Fact]
    public void Marks_moistures_and_gaps_are_read_where_they_stand() =>
        Assert.Equal(
            [
                new GridProbe(new(600, -700), WoodState.Sound, 14),
                new GridProbe(new(600, 0), WoodState.Spongy, 22.5),
                new GridProbe(new(900, -700), WoodState.Soft, null),
                new GridProbe(new(900, 0), WoodState.Through, 31),
                new GridProbe(new(900, 700), WoodState.Sound, 12),
            ],
            Read("-700 0 700\n600: s14 P22.5% -\n\n900: soft t31 12")
        );

    [Fact] // Sound to the ear and wet enough to decay is bad, as everywhere
    public void What_is_bad_is_counted_as_a_probe_counts_it() =>
        Assert.Equal(3, ProbeGrid.Parse("0 1 2 3\n600: s19 s20 p -\n900: t - - -", LengthFormat.Millimetres).Value!.Result.Bad);

    [Fact]
    public void Inches_with_fractions_need_marked_columns()
    {
        IReadOnlyList<GridProbe> probes = Read("-27 5/8\"; 0\n23 5/8\": s; o", new LengthFormat(UnitSystem.Inch));
        Assert.Equal((23.625 * 25.4, -27.625 * 25.4), (probes[0].At.SMm, probes[0].At.TMm));
        Assert.Equal(WoodState.Soft, probes[1].Wood);
        // Fewer marks than places: the rest of the line was not probed. Tabs as a table pastes them.
        Assert.Single(Read("-700\t0\n600:\ts\t-"));
    }

    [Theory]
    [InlineData("600: s", "First the places across")]
    [InlineData("-700 0\n600 s s", "begin with the place along and a colon")]
    [InlineData("-700 0\n600: s s s", "3 marks, but only 2 places")]
    [InlineData("-700 0\n600: s x", "\"x\": a mark is s, p, o or t")]
    [InlineData("-700 0\n600: s s201", "a mark is s, p, o or t")]
    [InlineData("-700 0\n600: - .", "Nothing is probed")]
    [InlineData("-700 nought\n600: s s", "Line 1")]
    [InlineData("-700 0\nhere: s s", "Line 2")]
    public void What_cannot_be_read_is_told_with_its_line(string text, string told) => Assert.Contains(told, Wrong(text));

    [Fact]
    public void Two_thousand_are_enough_at_once()
    {
        string across = string.Join(' ', Enumerable.Range(0, 50)),
            row = string.Join(' ', Enumerable.Repeat("s", 50));
        string Rows(int n) => string.Join('\n', [across, .. Enumerable.Range(0, n).Select(i => $"{i}: {row}")]);
        Assert.Equal(2000, Read(Rows(40)).Count);
        Assert.Contains("At most 2000", Wrong(Rows(41)));
    }

    [Fact] // What is written is what is read, whatever the grid
    public void Any_grid_comes_back_as_it_was_written() =>
        Gen.Select(Gen.Int[-900, 900].Array[1, 6], Gen.Select(Gen.Int[0, 5000], Gen.Select(Gen.Int[0, 4], Gen.Int[-1, 200]).Array[1, 6]).Array[1, 5])
            .Holds(
                (across, rows) =>
                {
                    string[] marks = ["s", "p", "o", "t", ""];
                    string Mark((int Wood, int Moisture) m) =>
                        m is (4, < 0)
                            ? "-"
                            : marks[m.Wood] + (m.Moisture < 0 ? "" : m.Moisture.ToString(System.Globalization.CultureInfo.InvariantCulture));
                    (int, (int, int)[])[] cut = [.. rows.Select(r => (r.Item1, r.Item2.Take(across.Length).ToArray()))];
                    GridProbe[] meant =
                    [
                        .. cut.SelectMany(r =>
                            r.Item2.Select((m, k) => (m, k))
                                .Where(x => x.m is not (4, < 0))
                                .Select(x => new GridProbe(
                                    new PanelPoint(r.Item1, across[x.k]),
                                    x.m.Item1 == 4 ? WoodState.Sound : (WoodState)x.m.Item1,
                                    x.m.Item2 < 0 ? null : x.m.Item2
                                ))
                        ),
                    ];
                    string text = string.Join(
                        '\n',
                        [string.Join(' ', across), .. cut.Select(r => $"{r.Item1}: {string.Join(' ', r.Item2.Select(Mark))}")]
                    );
                    if (meant.Length > 0)
                        Assert.Equal(meant, Read(text));
                },
                cases: 100
            );
}
