using Abri.Core;
using Abri.Core.Openings;
using Abri.Core.Record;
using Abri.Core.Sealing;

namespace Abri.Storage.Tests;

/// <summary>
/// Data files as earlier releases and schemas left them (folder <c>frozen</c>): the demo vehicle with a second vent of the first one's name, joints
/// of all kinds, one of something that was removed, one with a product that nobody has, and changes that were undone and done again.
/// </summary>
public sealed class FrozenTests : IDisposable
{
    private readonly string folder = Directory.CreateTempSubdirectory("abri-frozen-").FullName;

    public void Dispose() => Directory.Delete(folder, recursive: true);

    [Theory]
    [InlineData("0.1", 11)]
    [InlineData("0.2", 2)]
    [InlineData("3", 2)]
    [InlineData("4", 9)]
    [InlineData("5", 11)]
    [InlineData("6", 13)]
    [InlineData("7", 16)]
    [InlineData("9", 19)]
    [InlineData("10", 22)]
    [InlineData("11", 25)]
    [InlineData("12", 28)]
    [InlineData("14", 28)]
    public void An_old_file_opens_whole_and_its_history_is_walked_to_the_end_and_back(string schema, int changes)
    {
        using Scratch scratch = Opened(schema);
        string heron = scratch.Vehicles.All().Single(v => v.Value.Name == "Heron").Id;
        VehicleSnapshot now = scratch.Snapshots.Read(heron)!;
        Assert.True(now.Members.Count > 15 && now.Zones.Count > 2 && now.Openings.Count >= 3, "Something is missing.");
        Assert.Contains(now.Members, m => m.Value.Name == "Renamed bow");
        // Two of one name are two.
        Assert.Equal(2, now.Openings.Count(o => o.Value.Name == "Vent over the glaze bench"));
        Assert.NotEmpty(Directory.GetFiles(scratch.Folder, "*.before-*"));

        string before = Written(now);
        int steps = 0;
        for (; scratch.History.Undo(heron) is { What: not null, Conflict: null }; steps++)
            Assert.NotNull(scratch.Snapshots.Read(heron));
        Assert.Equal(changes, steps);
        Assert.DoesNotContain(scratch.Snapshots.Read(heron)!.Members, m => m.Value.Name == "Renamed bow");
        Assert.InRange(scratch.Snapshots.Read(heron)!.Openings.Count(o => o.Value.Name == "Vent over the glaze bench"), 0, 1);
        for (; scratch.History.Redo(heron) is { What: not null, Conflict: null }; steps--)
            Assert.NotNull(scratch.Snapshots.Read(heron));
        Assert.Equal(0, steps);
        Assert.Equal(before, Written(scratch.Snapshots.Read(heron)!));
    }

    [Theory]
    [InlineData("4")]
    [InlineData("5")]
    public void What_joints_named_they_refer_to_and_what_nobody_knows_is_not_lost(string schema)
    {
        using Scratch scratch = Opened(schema);
        string heron = scratch.Vehicles.All().Single(v => v.Value.Name == "Heron").Id;
        VehicleSnapshot now = scratch.Snapshots.Read(heron)!;
        Stored<Joint> Joint(string name) => scratch.Snapshots.Read(heron)!.Joints.Single(j => j.Value.Name == name);
        JointOf Of(JointOfKind kind, string id) => new(kind, id);
        string seam = now.Findings.Single(f => f.Value.Name == "Seam open, rear left corner").Id;
        Assert.Equal(Of(JointOfKind.Finding, seam), Joint("Seam at the rear left corner").Value.Of);
        Assert.Equal(Of(JointOfKind.Member, now.Members.Single(m => m.Value.Name == "Lower seam").Id), Joint("Lower seam").Value.Of);
        // Of two vents of one name the older one was meant: it had the joint before the other was there.
        string vent = now.Openings.First(o => o.Value.Name == "Vent over the glaze bench").Id;
        Assert.Equal(Of(JointOfKind.Opening, vent), Joint("Vent over the glaze bench: flange").Value.Of);
        Assert.Equal("Butyl tape 40 x 10", now.Product(Joint("Vent over the glaze bench: flange").Value.ProductId)?.Name);
        if (schema == "5")
        {
            Assert.Equal(Of(JointOfKind.ShellSeam, "top"), Joint("Roof seam, left").Value.Of);
            Assert.Equal(Of(JointOfKind.ShellSeam, "top"), Joint("Sliding door seal, top").Value.Of);
        }
        Assert.Contains("Grandfather's putty", Joint("An old seam").Value.Notes);

        // The flue went and its joint stayed; taken back, the joint is the flue's again as soon as the history reaches its last change.
        Assert.Null(Joint("Stove flue: flange").Value.Of);
        Assert.NotNull(now.Product(Joint("Stove flue: flange").Value.ProductId));
        while (scratch.Snapshots.Read(heron)!.Product(Joint("Stove flue: flange").Value.ProductId) is not null)
            Assert.Null(scratch.History.Undo(heron).Conflict);
        Stored<Opening> flue = scratch.Snapshots.Read(heron)!.Openings.Single(o => o.Value.Name == "Stove flue");
        Assert.Equal(Of(JointOfKind.Opening, flue.Id), Joint("Stove flue: flange").Value.Of);
    }

    private Scratch Opened(string schema)
    {
        string own = Directory.CreateDirectory(Path.Combine(folder, schema)).FullName;
        File.Copy(Path.Combine(AppContext.BaseDirectory, "frozen", $"schema-{schema}.db"), Path.Combine(own, "abri.db"));
        return new Scratch(own);
    }

    /// <summary>Everything on a vehicle but versions, which only ever go up.</summary>
    private static string Written(VehicleSnapshot of) => AbriJson.Write(VehicleFile.Of(of, _ => null));
}
