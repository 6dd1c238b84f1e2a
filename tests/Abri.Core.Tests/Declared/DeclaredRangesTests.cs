using System.ComponentModel.DataAnnotations;
using System.Reflection;
using Abri.Core.Declared;
using Abri.Core.Geometry;
using Abri.Core.Openings;
using Abri.Core.Sealing;
using Abri.Core.Shell;
using CsCheck;

namespace Abri.Core.Tests.Declared;

public class DeclaredRangesTests
{
    private static readonly Joint Joint = new(
        "Seam",
        JointKind.Seam,
        1000,
        Substrate.PaintedMetal,
        Substrate.Glass,
        3,
        0.2,
        true,
        false,
        false,
        true,
        false,
        false,
        null,
        null,
        [new JointEvent(new DateOnly(2026, 4, 1), JointEventKind.Waxed, null, "", "Ida")],
        ""
    );

    /// <summary>Every range that a record of the core declares, with where it stands.</summary>
    private static readonly (string Field, WithinAttribute Range, Type Type)[] Ranges =
    [
        .. typeof(Result<>)
            .Assembly.GetTypes()
            .SelectMany(t => t.GetConstructors())
            .SelectMany(c => c.GetParameters())
            .SelectMany(p => p.GetCustomAttributes<WithinAttribute>().Select(w => ($"{p.Member.DeclaringType!.Name}.{p.Name}", w, p.ParameterType))),
    ];

    [Fact] // The framework's own range attribute, on numbers below, at, between and above both ends
    public void A_range_takes_what_the_framework_s_own_takes()
    {
        Assert.True(Ranges.Length > 120, $"Only {Ranges.Length} ranges are declared.");
        foreach ((string field, WithinAttribute range, Type _) in Ranges)
        {
            var theirs = new RangeAttribute(range.Least, range.Most);
            double step = Math.Max(1e-9, Math.Abs(range.Most - range.Least) * 1e-9);
            foreach (
                double x in new[]
                {
                    range.Least - step,
                    range.Least,
                    range.Least + step,
                    (range.Least + range.Most) / 2,
                    range.Most - step,
                    range.Most,
                    range.Most + step,
                    double.PositiveInfinity,
                    double.NegativeInfinity,
                }
            )
                Assert.True(theirs.IsValid(x) == range.Wrong(x) is null, $"{field} at {x}");
            Assert.NotNull(range.Wrong(double.NaN));
        }
    }

    [Fact]
    public void A_range_has_two_ends_a_name_that_begins_a_sentence_and_the_unit_of_its_field()
    {
        (string Ending, string Unit)[] units =
        [
            ("Mm", "mm"),
            ("Deg", "degrees"),
            ("Kg", "kg"),
            ("Percent", "%"),
            ("Minutes", "minutes"),
            ("Ml", "ml"),
            ("Mm2", "mm2"),
            ("M3h", "m3/h"),
        ];
        foreach ((string field, WithinAttribute range, Type type) in Ranges)
        {
            Assert.True(range.Least < range.Most, field);
            Assert.True(char.IsUpper(range.Label[0]) && !range.Label.EndsWith('.'), field);
            if (units.FirstOrDefault(u => field.EndsWith(u.Ending, StringComparison.Ordinal)) is { Ending: not null } unit)
                Assert.True(unit.Unit == range.Unit, $"{field} in {range.Unit}");
            Type plain = Nullable.GetUnderlyingType(type) ?? type;
            Assert.True(plain == typeof(double) || plain == typeof(int) || plain == typeof(long), field);
        }
    }

    [Fact]
    public void What_is_wrong_is_told_with_its_place_however_deep_it_lies()
    {
        Assert.Null(DeclaredRanges.Of(Joint));
        Assert.Equal(("/gapMm", "The joint's width must lie between 0 and 100 mm; 100.5 was given."), Wrong(Joint with { GapMm = 100.5 }));
        Assert.Equal("/name", Wrong(Joint with { Name = " \t" })?.Pointer);
        Assert.Equal("/name", Wrong(Joint with { Name = "a\u0007b" })?.Pointer);
        Assert.Equal(
            ("/history/0/on", "The date must lie between 1950 and 2150."),
            Wrong(Joint with { History = [Joint.History[0] with { On = new DateOnly(1900, 1, 1) }] })
        );
        Assert.Equal("/history/1", Wrong(Joint with { History = [Joint.History[0], null!] })?.Pointer);
        Assert.Equal("/history", Wrong(Joint with { History = [.. Enumerable.Repeat(Joint.History[0], 201)] })?.Pointer);
        var panel = new Panel(PanelKind.Roof, new PanelBox(0, 4000, -800, 800).Corners, 0.8, SkinMaterial.MildSteel);
        var site = new Site(
            panel,
            [Roofs.Bow("Bow", 500, 560)],
            Roofs.Vent(),
            Zones: [new Zone("Bed", ZoneKind.Bed, 0, 1, 0, 1, 0, 1), new Zone("Bench", ZoneKind.Bench, 900, 100, 0, 1, 0, 1)]
        );
        Assert.Equal(("/zones/1/xMaxMm", "The rear of a zone must lie behind its front."), Wrong(site));
        Assert.Equal(
            "/members/0/footprint/points/1/tMm",
            Wrong(
                site with
                {
                    Zones = null,
                    Members =
                    [
                        Roofs.Bow("Bow", 500, 560) is var b ? b with { Footprint = b.Footprint with { Points = [new(0, 0), new(0, 99_999)] } } : b,
                    ],
                }
            )?.Pointer
        );
        Assert.Equal("/turnDeg", Wrong(site with { Zones = null, TurnDeg = 45 })?.Pointer);
        // A figure that nobody gave is out of no range.
        Assert.Null(Wrong(site with { Zones = null, WallMm = null }));
    }

    [Fact] // Whatever is in range in every field is in range as a whole, and one field out of it is found again
    public void One_wrong_figure_among_many_is_found() =>
        Gen.Select(Gen.Double[0, 100], Gen.Double[0, 100], Gen.Double[1, 100_000], Gen.Int[0, 2], Gen.Double[1e-6, 1e9])
            .Holds(
                (gap, movement, length, which, over) =>
                {
                    Joint good = Joint with { GapMm = gap, MovementMm = movement, LengthMm = length };
                    Joint bad = which switch
                    {
                        0 => good with { GapMm = 100 + over },
                        1 => good with { MovementMm = -over },
                        _ => good with { LengthMm = 100_000 + over },
                    };
                    Assert.Null(DeclaredRanges.Of(good));
                    Assert.Equal(new[] { "/gapMm", "/movementMm", "/lengthMm" }[which], Wrong(bad)?.Pointer);
                }
            );

    [Theory]
    [InlineData("Europe/Lisbon", true)]
    [InlineData("Etc/UTC", true)]
    [InlineData("../../etc", false)]
    [InlineData("Europe", false)]
    [InlineData("", false)]
    public void Time_zones_are_known_by_name(string name, bool known) =>
        Assert.Equal(known, new Abri.Core.Declared.TimeZoneAttribute().Wrong(name) is null);

    private static (string Pointer, string Message)? Wrong(object record) => DeclaredRanges.Of(record) is { } p ? (p.Pointer, p.Message) : null;
}
