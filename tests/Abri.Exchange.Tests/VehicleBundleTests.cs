using System.Text;
using System.Text.Json.Nodes;
using Abri.Core;
using Abri.Core.Geometry;
using Abri.Core.Openings;
using Abri.Core.Record;
using Abri.Core.Shell;
using CsCheck;

namespace Abri.Exchange.Tests;

public class VehicleBundleTests
{
    [Fact]
    public void A_field_that_stands_twice_and_a_time_without_its_zone_are_refused()
    {
        var finding = new FindingRecord(
            "finding-1",
            new Finding(
                "Rust",
                FindingKind.SurfaceRust,
                FindingShape.Point,
                [new PanelPoint(900, 0)],
                ViewedFrom.Outside,
                Severity.Minor,
                new FindingMeasures(9, null, null, null),
                FindingState.Open,
                "Ida",
                DateTimeOffset.UnixEpoch,
                ""
            ),
            []
        );
        VehicleRecord found = Whole() is var whole ? whole with { Panels = [whole.Panels[0] with { Findings = [finding] }] } : whole;
        string file = Encoding.UTF8.GetString(VehicleBundle.Write(found));
        Assert.False(
            VehicleBundle.Read(Encoding.UTF8.GetBytes(file.Replace("\"units\":", "\"units\": \"mm\", \"units\":"))).IsOk(out _, out Problem? twice)
        );
        Assert.Contains("units stands twice", twice.Message);
        string time = file.Split("\"seenAt\": \"")[1].Split('"')[0];
        Assert.False(VehicleBundle.Read(Encoding.UTF8.GetBytes(file.Replace(time, "2026-04-11T09:30:00"))).IsOk(out _, out Problem? zoneless));
        Assert.Contains("time with its zone", zoneless.Message);
        Assert.True(VehicleBundle.Read(Encoding.UTF8.GetBytes(file.Replace(time, "2026-04-11T09:30:00+02:00"))).IsOk(out _, out _));
    }

    [Fact] // Property over generated vehicles: export, import, export gives the same bytes
    public void What_is_written_is_read_back_to_the_last_digit() =>
        Records.Holds(
            record =>
            {
                byte[] file = VehicleBundle.Write(record);
                Assert.True(VehicleBundle.Read(file).IsOk(out VehicleRecord? read, out Problem? problem), problem?.Message);
                return VehicleBundle.Write(read).SequenceEqual(file) && RecordCheck.Of(read)?.Code == RecordCheck.Of(record)?.Code;
            },
            cases: 150
        );

    [Fact]
    public void The_schema_that_ships_is_the_one_that_is_used()
    {
        string file = Path.Combine(Root(), "docs/vehicle-file.schema.json");
        if (Environment.GetEnvironmentVariable("ABRI_WRITE_OPENAPI") == "1")
            File.WriteAllText(file, VehicleBundle.Schema + "\n");
        Assert.Equal(File.ReadAllText(file).Trim(), VehicleBundle.Schema);
    }

    [Theory]
    [InlineData("/format", "\"zip\"", "bundle-format")]
    [InlineData("/version", "3", "bundle-version")]
    [InlineData("/version", "99999999999999999999", "bundle-number")]
    [InlineData("/record/vehicle/year", "\"old\"", "bundle-shape")]
    [InlineData("/record/vehicle/colour", "1", "bundle-shape")]
    [InlineData("/record/vehicle/units", "\"furlong\"", "bundle-shape")]
    [InlineData("/record/panels", "{}", "bundle-shape")]
    [InlineData("/record/panels/0/panel/skinMm", "NaN", "bundle-unreadable")]
    [InlineData("/record/panels/0/panel/outline/0/tMm", "null", "bundle-shape")]
    public void A_file_of_another_shape_is_refused_with_its_place(string place, string value, string code)
    {
        JsonNode file = JsonNode.Parse(VehicleBundle.Write(Whole()))!;
        string[] path = place[1..].Split('/');
        JsonNode parent = path[..^1].Aggregate(file, (node, key) => int.TryParse(key, out int i) ? node[i]! : node[key]!);
        parent[path[^1]] = "VALUE";
        Assert.False(VehicleBundle.Read(Encoding.UTF8.GetBytes(file.ToJsonString().Replace("\"VALUE\"", value))).IsOk(out _, out Problem? problem));
        Assert.True(code == problem.Code, problem.Message);
        if (code == "bundle-shape")
            Assert.Contains(place, problem.Message + problem.Pointer, StringComparison.Ordinal);
    }

    [Fact]
    public void Monstrous_files_are_refused_before_they_are_built()
    {
        Assert.Equal("bundle-unreadable", Refused(new string('[', 100_000)).Code);
        Assert.Equal(
            "bundle-too-long",
            Refused("{\"record\":{\"panels\":[{\"members\":[" + string.Join(',', Enumerable.Repeat("{}", 100_000)) + "]}]}}").Code
        );
        Assert.Equal("bundle-unreadable", Refused("{\"format\": ").Code);
        Assert.Equal("bundle-unreadable", Refused("PK\u0003\u0004zip").Code);
    }

    [Theory]
    [InlineData("fitting-unknown")]
    [InlineData("key-twice")]
    [InlineData("panel-twice")]
    [InlineData("name-twice")]
    [InlineData("centre-off-panel")]
    public void A_record_that_contradicts_itself_is_told(string code)
    {
        VehicleRecord good = Whole();
        Assert.Null(RecordCheck.Of(good));
        PanelRecord roof = good.Panels[0];
        VehicleRecord bad = code switch
        {
            "fitting-unknown" => good with
            {
                Panels = [roof with { Openings = Keyed.All("opening", [roof.Openings[0].Value with { FittingId = "other" }]) }],
            },
            "key-twice" => good with { Fittings = [.. good.Fittings, good.Fittings[0]] },
            "panel-twice" => good with { Panels = [roof, roof] },
            "name-twice" => good with { Zones = [good.Zones[0], good.Zones[0]] },
            _ => good with
            {
                Panels = [roof with { Openings = Keyed.All("opening", [roof.Openings[0].Value with { Centre = new PanelPoint(9000, 0) }]) }],
            },
        };
        Assert.Equal(code, RecordCheck.Of(bad)?.Code);
    }

    private static Problem Refused(string text)
    {
        Assert.False(VehicleBundle.Read(Encoding.UTF8.GetBytes(text)).IsOk(out _, out Problem? problem));
        return problem;
    }

    internal static VehicleRecord Whole() =>
        new(
            new Vehicle("Heron", VehicleKind.PanelVan, 2009, "", UnitSystem.Mm, 16, new Schools(RibInTheWay.Keep, CutSize.WasteSide), 3.175),
            [new Zone("Bench", ZoneKind.Bench, 0, 1, 0, 1, 0, 1)],
            [new Keyed<Fitting>("a", Sample.Sheet(ViewedFrom.Outside).Fitting)],
            [
                new PanelRecord(
                    new Panel(PanelKind.Roof, new PanelBox(0, 4000, -850, 850).Corners, 0.8, SkinMaterial.MildSteel),
                    [],
                    [],
                    Keyed.All(
                        "opening",
                        [
                            new Opening(
                                "Vent",
                                "a",
                                new PanelPoint(900, 0),
                                0,
                                null,
                                new Schools(RibInTheWay.Keep, CutSize.WasteSide),
                                OpeningState.Planned,
                                null,
                                ""
                            ),
                        ]
                    )
                ),
            ]
        );

    private static readonly Gen<PanelPoint> Point = Gen.Select(Gen.Double[-5000, 5000], Gen.Double[-5000, 5000])
        .Select((s, t) => new PanelPoint(s, t));

    private static readonly Gen<Member> Members = Gen.Select(
            Gen.String[1, 20],
            Gen.Enum<MemberKind>(),
            Gen.Enum<MemberRole>(),
            Point.Array[2, 4],
            Gen.Double[1, 90],
            Gen.Double[-9, 60]
        )
        .Select(
            (name, kind, role, points, width, depth) =>
                new Member(name, kind, role, new Footprint(FootprintShape.Spine, points, width), depth, width / 9)
        );

    private static readonly Gen<FindingRecord> Findings = Gen.Select(
            Gen.Enum<FindingKind>(),
            Gen.Enum<FindingShape>(),
            Point.Array[1, 4],
            Gen.Enum<Severity>(),
            Gen.Double[0, 90],
            Gen.Byte.Array[1, 30]
        )
        .Select(
            (kind, shape, points, severity, size, photo) =>
                new FindingRecord(
                    $"finding {size}",
                    new Finding(
                        "Found",
                        kind,
                        shape,
                        points,
                        ViewedFrom.Inside,
                        severity,
                        new FindingMeasures(size, null, size / 7, null),
                        FindingState.Watch,
                        "Ida",
                        DateTimeOffset.UnixEpoch.AddSeconds(size),
                        "n"
                    ),
                    [new PhotoRecord("image/png", "caption \u00e9", new string('a', 64), photo.Length, photo)]
                )
        );

    private static readonly Gen<VehicleRecord> Records = Gen.Select(
            Gen.String[1, 40],
            Gen.Enum<VehicleKind>(),
            Gen.Double[-90, 90],
            Members.Array[0, 5],
            Findings.Array[0, 3],
            Gen.Double[0.4, 3],
            Gen.Enum<PanelKind>(),
            Point.Array[2, 6]
        )
        .Select(
            (name, kind, latitude, members, findings, skin, panel, readings) =>
                Whole() with
                {
                    Vehicle = new Vehicle(
                        name,
                        kind,
                        null,
                        "notes\n\u201cquoted\u201d",
                        UnitSystem.Inch,
                        32,
                        new Schools(RibInTheWay.CutSecondary, CutSize.WithClearance),
                        skin,
                        "Europe/London",
                        new Place(latitude, latitude * 2),
                        new Masses(1000.5, null, null, 900, 3000),
                        new Attitude(latitude / 9, -skin)
                    ),
                    Panels =
                    [
                        new PanelRecord(
                            new Panel(
                                panel,
                                new PanelBox(0, 3000, 0, 1700).Corners,
                                skin,
                                SkinMaterial.PlywoodSkin,
                                9000,
                                null,
                                Facing.Rear,
                                skin,
                                skin,
                                SurfaceSource.Measured,
                                [new SurfaceSection(skin, [.. readings.Select(p => new DepthReading(p.SMm, p.TMm))], 1)],
                                "Panel"
                            ),
                            Keyed.All("member", members),
                            findings,
                            []
                        ),
                    ],
                }
        );

    private static string Root()
    {
        string? folder = AppContext.BaseDirectory;
        while (folder is not null && !File.Exists(Path.Combine(folder, "Abri.slnx")))
            folder = Path.GetDirectoryName(folder);
        return folder!;
    }
}
