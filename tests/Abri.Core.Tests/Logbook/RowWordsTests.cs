using System.Text.Json;
using Abri.Core.Geometry;
using Abri.Core.Logbook;

namespace Abri.Core.Tests.Logbook;

public class RowWordsTests
{
    private const string Fitting = "019a0000-0000-7000-8000-000000000001";

    private static LogLine[] Lines(string? before, string? after, UnitSystem units = UnitSystem.Mm) =>
        [
            .. new RowWords(id => id == Fitting ? "400 roof vent" : null, t => t.ToOffset(TimeSpan.FromHours(1)), new LengthFormat(units)).Of([
                new RowChange("own_task", "1", before, after),
            ]),
        ];

    private static LogLine Only(string before, string after, UnitSystem units = UnitSystem.Mm) => Assert.Single(Lines(before, after, units));

    [Theory]
    [InlineData("""{"skin_thickness_mm":0.8}""", """{"skin_thickness_mm":1}""", "Skin thickness", "0.8 mm", "1 mm")]
    [InlineData("""{"turn_deg":0}""", """{"turn_deg":90}""", "Turn", "0 degrees", "90 degrees")]
    [InlineData("""{"state":"planned"}""", """{"state":"treatAndWatch"}""", "State", "planned", "treat and watch")]
    [InlineData("""{"dry":0,"notes":""}""", """{"dry":0,"notes":"By the door"}""", "Notes", "nothing", "By the door")]
    [InlineData("""{"wind_ms":null}""", """{"wind_ms":6.5}""", "Wind", null, "6.5 m/s")]
    [InlineData("""{"points":"[{\"s\":1}]"}""", """{"points":"[{\"s\":1},{\"s\":2}]"}""", "Points", "1 entry", "2 entries")]
    [InlineData("""{"centre":"{\"sMm\":10,\"tMm\":5}"}""", """{"centre":"{\"sMm\":12,\"tMm\":5}"}""", "Centre, along the panel", "10 mm", "12 mm")]
    [InlineData(
        """{"fitting_id":"019a0000-0000-7000-8000-000000000001"}""",
        """{"fitting_id":"019a0000-0000-7000-8000-000000000002"}""",
        "Fitting",
        "400 roof vent",
        "something that is gone"
    )]
    [InlineData("""{"first_on":"2031-05-01"}""", """{"first_on":"2031-12-24"}""", "First on", "1 May 2031", "24 Dec 2031")]
    [InlineData("""{"cleared_at":null}""", """{"cleared_at":"2031-05-11T12:00:00.0000000+00:00"}""", "Cleared at", null, "11 May 2031 13:00")]
    [InlineData("""{"as_cut":null}""", """{"as_cut":"{\"topWidthMm\":400.5}"}""", "As cut", null, "top width 400.5 mm")]
    [InlineData("""{"care":"{\"slow\":true}"}""", """{"care":null}""", "Care", "slow yes", null)]
    public void A_value_is_told_with_its_unit_before_and_after(string before, string after, string what, string? was, string? became) =>
        Assert.Equal(new LogLine("own task", what, was, became), Only(before, after));

    [Fact]
    public void Lengths_are_told_as_the_vehicle_has_them() =>
        Assert.Equal("1/2\"", Only("""{"width_mm":12.7}""", """{"width_mm":25.4}""", UnitSystem.Inch).Before);

    [Fact]
    public void What_only_the_program_needs_is_not_told_and_a_thing_bears_its_name()
    {
        Assert.Empty(Lines("""{"id":"1","version":1,"vehicle_id":"v","name":"Lamp"}""", """{"id":"1","version":2,"vehicle_id":"v","name":"Lamp"}"""));
        Assert.Equal(new LogLine("own task Lamp", null, null, "there"), Only2(null, """{"id":"1","name":"Lamp","minutes":30}"""));
        Assert.Equal(new LogLine("own task Lamp", null, "there", null), Only2("""{"id":"1","name":"Lamp","minutes":30}""", null));
        LogLine Only2(string? b, string? a) => Assert.Single(Lines(b, a));
    }

    [Fact] // As many letters as are told, one more, and words that look like JSON and are none
    public void Long_texts_are_cut_and_odd_ones_are_told_as_they_are()
    {
        string After(string notes) => Only("""{"notes":""}""", JsonSerializer.Serialize(new { notes })).After!;
        string most = new('.', RowWords.MostLetters);
        Assert.Equal(most, After(most));
        Assert.Equal(most + "...", After(most + "."));
        Assert.Equal("{not json", After("{not json"));
        Assert.Equal("[x", After("[x"));
    }
}
