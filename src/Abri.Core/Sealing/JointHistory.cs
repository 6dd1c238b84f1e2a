namespace Abri.Core.Sealing;

/// <summary>Finds what earlier work on a joint forbids, and what it asks for first.</summary>
/// <remarks>Common practice: nothing but silicone sticks to silicone; wax keeps everything from sticking; solvent crazes acrylic. All of it ends
/// where a joint was stripped to bare material, except silicone: its traces stay until they are removed and the surface is abraded.</remarks>
public static class JointHistory
{
    /// <summary>What was done since the joint was last stripped.</summary>
    internal static IReadOnlyList<JointEvent> Since(Joint joint)
    {
        int bare = joint.History.ToList().FindLastIndex(e => e.Kind == JointEventKind.Stripped);
        return [.. joint.History.Skip(bare + 1)];
    }

    /// <summary>When a joint was last sealed, if nothing has been stripped since; null where it stands open.</summary>
    public static DateOnly? SealedOn(Joint joint) => Since(joint).LastOrDefault(e => e.Kind == JointEventKind.Sealed)?.On;

    /// <summary>Why a product must not be laid on what is there; null where it may.</summary>
    internal static string? Forbids(Joint joint, Product product) =>
        Since(joint).LastOrDefault(e => e.Kind == JointEventKind.Sealed && e.Family is { } f && Product.IsSilicone(f)) is { } silicone
        && !Product.IsSilicone(product.Family)
            ? $"There is silicone since {silicone.On:yyyy-MM-dd}: nothing else sticks to it. Strip and abrade first."
            : null;

    /// <summary>What has to be done before anything is laid.</summary>
    public static IReadOnlyList<string> Preparation(Joint joint)
    {
        IReadOnlyList<JointEvent> since = Since(joint);
        var todo = new List<string>();
        JointEvent? waxed = since.LastOrDefault(e => e.Kind == JointEventKind.Waxed);
        if (waxed is not null)
            todo.Add($"Waxed on {waxed.On:yyyy-MM-dd}: degrease twice with fresh cloths, or nothing sticks.");
        if (since.Any(e => e.Kind == JointEventKind.Sealed && e.Family is { } f && Product.IsSilicone(f)))
            todo.Add("Old silicone is there: strip it to bare ground first, for new silicone too.");
        else if (since.Any(e => e.Kind == JointEventKind.Sealed))
            todo.Add("Old sealant is there: cut it out down to sound ground. New over old holds only as well as the old.");
        if (joint.History.Any(e => e.Kind == JointEventKind.Sealed && e.Family is { } f && Product.IsSilicone(f)))
            todo.Add("Silicone was there once: its traces repel everything. Remove, abrade, wipe, and try a hand's breadth first.");
        if (PlasticOf(joint) is { } plastic && since.Any(e => e.Kind == JointEventKind.Solvent))
            todo.Add($"{Words.Capital(plastic)} was wiped with solvent: look for crazing before anything is stressed.");
        return todo;
    }

    /// <summary>The side of a joint that solvent crazes; null where none does.</summary>
    internal static Substrate? PlasticOf(Joint joint) =>
        new[] { joint.One, joint.Other }.Where(s => s is Substrate.Acrylic or Substrate.Polycarbonate).Select(s => (Substrate?)s).FirstOrDefault();

    /// <summary>What is wrong in the order in which things were done: wax before sealant, something else over silicone, solvent on acrylic.</summary>
    public static IReadOnlyList<string> Faults(Joint joint)
    {
        var faults = new List<string>();
        Substrate? plastic = PlasticOf(joint);
        (JointEvent? silicone, JointEvent? wax) = (null, null);
        foreach (JointEvent e in joint.History)
        {
            switch (e.Kind)
            {
                case JointEventKind.Stripped:
                    (silicone, wax) = (null, null);
                    break;
                case JointEventKind.Waxed:
                    wax = e;
                    break;
                case JointEventKind.Solvent:
                    wax = null;
                    if (plastic is { } crazes)
                        faults.Add($"{e.On:yyyy-MM-dd}: solvent on {Words.Of(crazes)}. Look for crazing.");
                    break;
                case JointEventKind.Sealed:
                    if (wax is not null)
                        faults.Add($"{e.On:yyyy-MM-dd}: sealed over wax of {wax.On:yyyy-MM-dd}. It will lift.");
                    if (silicone is not null && e.Family is { } over && !Product.IsSilicone(over))
                        faults.Add($"{e.On:yyyy-MM-dd}: sealed over silicone of {silicone.On:yyyy-MM-dd}. It will lift.");
                    if (e.Family is { } f && Product.IsSilicone(f))
                        silicone = e;
                    break;
                case JointEventKind.Painted when silicone is not null:
                    faults.Add($"{e.On:yyyy-MM-dd}: painted over silicone of {silicone.On:yyyy-MM-dd}. The paint will crawl.");
                    break;
            }
        }
        return faults;
    }
}
