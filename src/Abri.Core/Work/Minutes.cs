namespace Abri.Core.Work;

/// <summary>How long something takes, min.</summary>
/// <param name="Quick">When all goes well.</param>
/// <param name="Likely">As a rule.</param>
/// <param name="Slow">When it does not.</param>
public sealed record Minutes(double Quick, double Likely, double Slow)
{
    /// <summary>One after the other.</summary>
    public static Minutes operator +(Minutes a, Minutes b) => new(a.Quick + b.Quick, a.Likely + b.Likely, a.Slow + b.Slow);

    /// <summary>The same by a factor.</summary>
    public static Minutes operator *(Minutes minutes, double factor) => new(minutes.Quick * factor, minutes.Likely * factor, minutes.Slow * factor);

    internal static Minutes About(double likely) => new(Math.Round(likely * 0.6), Math.Round(likely), Math.Round(likely * 2));
}

/// <summary>How long a kind of work takes, as a rule.</summary>
/// <param name="Work">What it is: keys of steps begin with it.</param>
/// <param name="Fixed">Minutes whatever the amount.</param>
/// <param name="Each">Minutes for each of <paramref name="Per"/>.</param>
/// <param name="Per">What the amount counts; empty where there is none.</param>
public sealed record TimedWork(string Work, double Fixed, double Each = 0, string Per = "");

/// <summary>Minutes of all work in one table; a first-timer takes the slow ones, and what was really needed corrects them.</summary>
/// <remarks>All likely minutes are assumptions (<see cref="Source"/>); quick 60 %, slow 200 % of likely.</remarks>
/// <example>A cut of 1600 mm at 50 mm a minute: 32 minutes.</example>
public static class MinutesTable
{
    /// <summary>Pace of a jigsaw in sheet metal, mm/min.</summary>
    public const double CutMmPerMinute = 50;

    /// <summary>Pace of filing to a line, mm/min.</summary>
    public const double FileMmPerMinute = 120;

    /// <summary>The rows.</summary>
    public static IReadOnlyList<TimedWork> All { get; } =
    [
        new("offer", 15),
        new("look-behind", 20),
        new("mend-first", 15, 30, "thing that was found"),
        new("mark-out", 30),
        new("header", 75),
        new("cut-back", 15),
        new("tie", 15),
        new("protect", 20),
        new("adapter", 120),
        new("core", 20, 1 / 60.0, "mm of cut"),
        new("swarf", 10),
        new("cable", 15),
        new("fit-frame", 30),
        new("lift", 30),
        new("rubber", 30),
        new("filler", 20),
        new("hang", 60),
        new("tighten-again", 10, 0.5, "screw"),
        new("inner-trim", 45),
        new("hatch-frame", 180),
        new("inner-frame", 90),
        new("backing", 30),
        new("lugs", 5, 2, "lug"),
        new("cut", 0, 1 / CutMmPerMinute, "mm of cut"),
        new("measure", 10, 1 / FileMmPerMinute, "mm of cut"),
        new("edge-prime", 10),
        new("edge-paint", 10),
        new("edge-trim", 15),
        new("spacer-ring", 30),
        new("dry-fit", 15, 1, "screw"),
        new("dry-fit-halves", 20),
        new("dry-fit-pane", 20),
        new("bed", 25),
        new("set", 10, 1.5, "screw"),
        new("seal-over", 20),
        new("clamp", 40),
        new("skins", 15),
        new("clean", 30),
        new("bead", 5, 1, "minute of laying"),
        new("set-pane", 15),
        new("hold", 0),
        new("rust-wash", 10, 20, "m2"),
        new("rust-strip", 15, 120, "m2"),
        new("rust-measure", 10),
        new("rust-protect", 10, 20, "m2"),
        new("rust-cut", 15, 1 / CutMmPerMinute, "mm of cut"),
        new("rust-clean", 15, 10, "m2"),
        new("rust-putty", 20),
        new("rust-convert", 5, 20, "m2"),
        new("rust-prime", 15, 25, "m2"),
        new("rust-fold", 30, 10, "fold"),
        new("rust-patch", 45, 2, "rivet"),
        new("rust-seal", 10, 1 / 200.0, "mm of edge"),
        new("rust-colour", 30, 50, "m2"),
        new("rust-wax", 20, 1 / 200.0, "mm of cavity"),
        new("repair-mend", 10),
        new("plug-clean", 10, 4, "hole"),
        new("plug-drill", 5, 1, "hole"),
        new("plug-swarf", 10),
        new("plug-prime", 5, 1, "hole"),
        new("plug-close", 10, 4, "hole"),
        new("plug-seal", 5, 1, "hole"),
        new("seam-strip", 10, 1 / 50.0, "mm of seam"),
        new("seam-clean", 5, 1 / 200.0, "mm of seam"),
        new("seam-prime", 10, 1 / 300.0, "mm of seam"),
        new("seam-lay", 10, 1 / 150.0, "mm of seam"),
        new("seam-pour", 25),
        new("trim-off", 10, 2, "fixing"),
        new("trim-clean", 10, 1 / 100.0, "mm of trim"),
        new("trim-straighten", 20),
        new("trim-on", 15, 2, "fixing"),
        new("window-protect", 15),
        new("window-gasket", 10, 1 / 200.0, "mm of edge"),
        new("window-screws", 10, 1 / 100.0, "mm of edge"),
        new("window-adhesive", 15, 1 / 60.0, "mm of edge"),
        new("window-clips", 20, 1 / 40.0, "mm of edge"),
        new("window-lift", 10),
        new("window-splinters", 120),
        new("window-clean", 15, 1 / 100.0, "mm of edge"),
        new("window-marks", 10, 5, "mark"),
        new("window-cover", 20),
        new("door-set", 45),
        new("door-seal", 40),
        new("door-pane", 60),
        new("door-bend", 20),
        new("door-strut", 60),
        new("door-read", 5, 1, "reading"),
        new("door-dust", 10),
        new("floor-mend", 10),
        new("floor-leak", 5),
        new("floor-below", 20),
        new("floor-mark", 20),
        new("floor-cut", 15, 1 / 150.0, "mm of cut"),
        new("floor-lift", 20, 40, "m2"),
        new("floor-member", 120),
        new("floor-dry", 10),
        new("floor-timbers", 10, 20, "timber"),
        new("floor-boards", 20, 20, "board"),
        new("floor-coat", 15, 15, "m2"),
        new("floor-fit", 20, 1, "screw"),
        new("floor-level", 10),
        new("floor-joint", 10, 1 / 300.0, "mm of joint"),
        new("lining-behind", 15),
        new("lining-frame", 10, 15, "hole"),
        new("lining-boards", 20, 15, "board"),
        new("lining-first", 5, 15, "hole"),
        new("lining-offer", 20, 10, "hole"),
        new("lining-hole", 5, 20, "hole"),
        new("lining-seal", 10, 15, "m2"),
        new("lining-fix", 20, 1, "screw"),
        new("lining-trim", 5, 20, "hole"),
        new("look-again", 10),
        new("water-test", 0, 4, "minute at an edge"),
    ];

    /// <summary>Where the minutes come from.</summary>
    public static Source Source { get; } = new("Minutes; quick 60 %, slow 200 % of likely", SourceKind.Assumption);

    /// <summary>The minutes of an amount of work.</summary>
    /// <param name="work">What it is.</param>
    /// <param name="amount">How much, in the row's measure.</param>
    /// <exception cref="ArgumentException">The table has no such work.</exception>
    public static Minutes For(string work, double amount) =>
        All.SingleOrDefault(row => row.Work == work) is { } row
            ? Minutes.About(row.Fixed + (row.Each * amount))
            : throw new ArgumentException($"The table of minutes has no {work}.", nameof(work));
}
