using Abri.Core.Declared;
using Abri.Core.Geometry;
using Abri.Core.Openings;
using Abri.Core.Openings.Rules;
using Abri.Core.Openings.Seating;
using Abri.Core.Sealing;
using Abri.Core.Shell;

namespace Abri.Core.Procedures;

/// <summary>What the procedure of an opening is made from.</summary>
/// <param name="Name">What people call the opening.</param>
/// <param name="Site">What decides.</param>
/// <param name="Centre">The place.</param>
/// <param name="Schools">The schools followed; what they say of a rib in the way replaces what the site says.</param>
/// <param name="Product">What beds or bonds it; null until it is chosen.</param>
/// <param name="Tape">The bedding tape; null for the usual one.</param>
public sealed record OpeningWork(
    [Name] string Name,
    Site Site,
    PanelPoint Centre,
    Schools Schools,
    Product? Product,
    BeddingTape? Tape = null);

/// <summary>
/// Writes the procedure of an opening: every step from the offered-up fitting to the water test, with the figures of this opening in it.
/// </summary>
/// <remarks>Minutes are assumptions by the length of the cut, the number of screws and the path of the bead; a first-timer takes the slow ones. The order is common practice; where schools differ the school of the opening decides.</remarks>
/// <example>A 400 vent: 1.6 m of cut at 50 mm a minute are 32 minutes; the shell stands open from the cut to the last screw.</example>
public static class OpeningProcedure
{
    private const double CutMmPerMinute = 50, FileMmPerMinute = 120, MinutesPerScrew = 1.5, EdgePaintHours = 1, BedBeadMm2 = 60, TestMinutes = 10, RingHours = 4, RingBeadMm2 = 20;

    private static readonly string[] CutCautions =
    [
        "Battery disconnected; look behind the panel for wiring, pipes and fuel.",
        "Eyes, ears, cut-proof gloves; a disc only for short runs, with a fire watch.",
    ];

    private static readonly string[] RoofCautions = ["Firm ladder, boards across the bows, soft shoes without grit, no wind."];

    /// <summary>The procedure.</summary>
    public static Result<Worked<Procedure>> Of(OpeningWork asked)
    {
        OpeningWork work = asked with { Site = asked.Site with { RibInTheWay = asked.Schools.RibInTheWay } };
        if (!SettingOut.Of(work.Site, work.Centre, new Marking(ViewedFrom.Outside, 0, 12, work.Schools.CutSize)).IsOk(out Worked<SettingOutSheet>? marked, out Problem? problem)) return InWork(problem);
        if (!FlangeSeat.Of(work.Site, work.Centre, work.Tape ?? BeddingTape.Usual).IsOk(out Worked<Seat>? seat, out problem)) return InWork(problem);
        if (!InnerFrame.Of(work.Site, work.Centre).IsOk(out Worked<FramePlan>? frame, out problem)) return InWork(problem);
        if (!OpeningVerdict.Of(work.Site, work.Centre).IsOk(out Worked<Verdict>? verdict, out problem)) return InWork(problem);
        // No steps for cutting where nothing may be cut.
        if (verdict.Result.State == VerdictState.Blocked) return new Problem("place-blocked", "/centre", $"Nothing is cut at this place: {verdict.Result.Reason}. Place says what would mend it.");
        (Product? product, string? refused) = Allowed(work);
        var maker = new Maker(work, marked.Result, seat.Result, frame.Result, verdict.Result, product, refused);
        var procedure = Procedure.Of(work.Name, [.. maker.Steps()]);
        var sheet = new Worksheet();
        sheet.Step("p", "length of the cut", "perimeter of the cut-out", marked.Result.PerimeterMm, "mm");
        sheet.Step("t_c", "cutting", $"p / {CutMmPerMinute:0} mm/min", marked.Result.PerimeterMm / CutMmPerMinute, "min");
        sheet.Step("t", "work in all, likely", "sum of steps", procedure.Work.Likely, "min");
        sheet.Step("t_o", "shell open, likely", "from the cut to the step that closes it, waiting included", procedure.OpenMinutes.Likely, "min");
        sheet.Cite(new Source("Order of steps and hold points", SourceKind.CommonPractice));
        sheet.Cite(new Source($"A glued spacer ring holds after {RingHours:0} h, in a bead of {RingBeadMm2:0} mm2", SourceKind.Assumption));
        sheet.Cite(new Source("Minutes; quick 60 %, slow 200 % of likely", SourceKind.Assumption));
        return sheet.Finish(procedure);
    }

    /// <summary>What beds or bonds it: what was chosen where Sealing allows it on this joint, else the best that it knows; and why what was chosen is refused.</summary>
    private static (Product? Product, string? Refused) Allowed(OpeningWork work)
    {
        Joint joint = OfferedJoints.OfFitting(work.Site.Panel, work.Site.Fitting.Turned(work.Site.TurnDeg), work.Name);
        IReadOnlyList<string> why = work.Product is { } chosen ? SealantChoice.RuledOut(joint, chosen) : [];
        if (work.Product is not null && why.Count == 0) return (work.Product, null);
        Product butyl = TypicalProducts.All.Single(p => p.Family == ProductFamily.ButylTape);
        // The school's bedding, where it may go there.
        if (work.Product is null && !joint.Structural && SealantChoice.RuledOut(joint, butyl).Count == 0) return (null, null);
        string? best = SealantChoice.Of(joint, TypicalProducts.All, work.Schools.Bedding, null, LengthFormat.Millimetres).Value!.Result.Best;
        Product? instead = TypicalProducts.All.FirstOrDefault(p => p.Name == best);
        return (instead, work.Product is null ? null : $"Not {work.Product.Name} here: {char.ToLowerInvariant(why[0][0])}{why[0][1..]} {(instead is null ? "Sealing knows nothing that suits." : $"{instead.Name} suits.")}");
    }

    private static Problem InWork(Problem problem) => problem.Pointer.StartsWith("/centre", StringComparison.Ordinal) ? problem : problem.Under("/site");

    private sealed class Maker(OpeningWork work, SettingOutSheet marked, Seat seat, FramePlan frame, Verdict verdict, Product? product, string? refused)
    {
        private readonly Fitting fitting = work.Site.Fitting.Turned(work.Site.TurnDeg);
        private readonly LengthFormat lengths = work.Site.Lengths ?? LengthFormat.Millimetres;
        private readonly bool roof = work.Site.Panel.Facing == Facing.Up;

        private WorkPlace Out => roof ? WorkPlace.Roof : WorkPlace.Outside;

        private string[] OutCautions => roof ? RoofCautions : [];

        private WeatherNeeds Dry => new(true, roof ? 8 : null, null, null);

        /// <summary>Bedding and bonding: dry, and warm enough for the product.</summary>
        private WeatherNeeds Laying => Dry with { FromC = product?.LayFromC ?? 5, ToC = product?.LayToC ?? 35 };

        private bool Heavy => fitting.MassKg >= PlacingFigures.HeavyKg;

        public IEnumerable<WorkStep> Steps()
        {
            yield return Step("Offer the fitting up", $"Unpack {fitting.Name}, look for damage, and hold it where it goes: {lengths.Text(fitting.Flange.WidthMm)} by {lengths.Text(fitting.Flange.HeightMm)} of flange. Damage is claimed within the days that the supplier gives, not after the cut.", 15, Out) with
            {
                People = Heavy || fitting.Kind == FittingKind.BondedWindow ? 2 : 1,
                Cautions = OutCautions,
                Holds = [HoldPoint.Seen("Looked over; damage is claimed until (date)"), HoldPoint.Within("Width of the part that passes the hole", fitting.Neck.WidthMm, 1, "mm"), HoldPoint.Within("Height of it", fitting.Neck.HeightMm, 1, "mm")],
            };
            yield return Step("Look behind the panel", $"Take the lining off, look and feel behind the whole cut-out; drill the {marked.ThroughHoles.Count} through-holes from inside once nothing is there.", 20, WorkPlace.Inside, "Torch", $"Drill {marked.ThroughHoles[0].Drill}") with
            {
                Cautions = ["Wiring, pipes, fuel lines and airbags are where nobody drew them."],
                Holds = [HoldPoint.Seen("Nothing runs behind the cut-out")],
            };
            yield return Step("Mark out", $"From {string.Join(", ", marked.CutLines.Select(c => $"{c.Datum}: {lengths.Text(c.TapeFromMm)}").Distinct())}. Tape the metal, draw lines and corners, tape the template on.", 30, Out, "Tape measure", "Straight-edge", "Square", "Template at 1:1") with
            {
                Cautions = OutCautions,
                Consumables = [new Consumable("Masking tape", 2 * marked.PerimeterMm, "mm")],
                Holds = [HoldPoint.Within("First diagonal", marked.DiagonalMm, 1.5, "mm"), HoldPoint.Within("Second diagonal", marked.DiagonalMm, 1.5, "mm")],
            };
            foreach (FrameHeader header in frame.Headers)
            {
                string bows = string.Join(" and ", header.Bows);
                yield return Step($"Headers for {bows}", $"Two headers of {lengths.Text(header.LengthMm!.Value)} onto {string.Join(" and ", header.Onto)}, bolted at both ends before {bows} {(header.Bows.Count == 1 ? "is" : "are")} touched.", 75, WorkPlace.Inside, "Drill", "Clamps") with
                {
                    Holds = [HoldPoint.Seen("Both headers are tight before anything is cut")],
                };
            }
            bool ribsFirst = work.Schools.RibOrder == RibOrder.RibsFirst;
            if (ribsFirst)
            {
                foreach (WorkStep step in CutBack()) yield return step;
            }
            if (fitting.Kind == FittingKind.Hatch)
            {
                yield return Step("Frame the opening", $"{(frame.Headers.Count > 0 ? "Between the two headers:" : $"Header and sill of {lengths.Text(fitting.CutOut.WidthMm + (2 * InnerFrame.LandingMm))},")} posts of {lengths.Text(fitting.CutOut.HeightMm)}, a gusset in each corner; the hinge plate lands on the header.", 180, WorkPlace.Inside, "Saw", "Clamps", "Square", "Drill") with
                {
                    Holds = [HoldPoint.Within("Diagonals of the frame differ by", 0, 2, "mm")],
                };
            }
            if (fitting.Clamp is not null)
            {
                foreach (WorkStep step in Prepared()) yield return step;
            }
            yield return Step("Cut", $"Start holes of {marked.StartHoles[0].Drill} inside the corners. {(work.Schools.CutSize == CutSize.WasteSide ? "Cut on the waste side of the line, then open up to it" : "Cut with the clearance all round at once")}: {lengths.Text(marked.PerimeterMm)} of cut. Tape the cut behind the blade, so that the piece cannot drop.", marked.PerimeterMm / CutMmPerMinute, Out, $"Drill {marked.StartHoles[0].Drill}", "Jigsaw, fresh metal blade", "Dust sheet") with
            {
                People = marked.PerimeterMm > 2500 ? 2 : 1,
                Cautions = [.. CutCautions, .. OutCautions],
                Shell = ShellChange.Opens,
                Weather = Dry,
                Consumables = [new Consumable("Jigsaw blade for metal", 2, "count")],
                Holds = [HoldPoint.Seen("A cover that keeps rain out lies ready")],
            };
            if (!ribsFirst)
            {
                foreach (WorkStep step in CutBack()) yield return step;
            }
            yield return Step(work.Schools.CutSize == CutSize.WasteSide ? "File and measure the hole" : "Measure the hole", $"Take off the burr, {(work.Schools.CutSize == CutSize.WasteSide ? "file to the line, " : "")}measure it six ways and enter it as cut; then try the fitting dry.", 10 + (marked.PerimeterMm / FileMmPerMinute), Out, "Half-round file", "Tape measure") with
            {
                Cautions = OutCautions,
                Weather = Dry,
                Holds = [Hole("Width of the hole", r => r.WidthMm), Hole("Height of the hole", r => r.HeightMm), HoldPoint.Seen("The fitting goes in without force")],
            };
            yield return Step("Take up the swarf, paint the edge", "Vacuum and brush every chip off roof and sills the same day: they rust. Prime and paint the cut edge with a brush, both faces.", 25, Out, "Vacuum cleaner", "Brush") with
            {
                Cautions = OutCautions,
                Weather = Dry,
                WaitHours = EdgePaintHours,
                Consumables = [new Consumable(work.Site.Panel.Material is SkinMaterial.MildSteel or SkinMaterial.GalvanisedSteel ? "Zinc primer" : "Edge primer", marked.PerimeterMm * 0.02, "ml"), new Consumable("Top coat", marked.PerimeterMm * 0.02, "ml")],
            };
            if (work.Site.Panel.SkinGapMm is { } gap) yield return EdgeTrim(gap + (2 * work.Site.Panel.SkinMm));
            foreach (WorkStep step in fitting.Kind == FittingKind.BondedWindow ? Bonded() : fitting.Clamp is not null ? Clamped() : Screwed()) yield return step;
            yield return Step("Water test", $"A soft hose from below upwards, {TestMinutes:0} minutes at each edge; somebody inside with a torch.", 4 * TestMinutes, Out, "Hose", "Torch") with
            {
                People = 2,
                Cautions = OutCautions,
                Holds = [HoldPoint.Seen("Dry inside")],
            };
        }

        /// <summary>A size of the hole, with the tolerances of the sheet.</summary>
        private HoldPoint Hole(string name, Func<RoundedRectangle, double> size) =>
            new(name, size(fitting.CutOut), size(fitting.CutOut) - size(marked.CutPath.LeastHole), size(marked.CutPath.MostHole) - size(fitting.CutOut), "mm");

        /// <summary>The cut bows and ribs back from the opening; with the skin still whole the blade is kept off it.</summary>
        private IEnumerable<WorkStep> CutBack()
        {
            bool ribsFirst = work.Schools.RibOrder == RibOrder.RibsFirst;
            foreach (IGrouping<string, RibTrim> rib in marked.Trims.GroupBy(t => t.Rib))
            {
                yield return Step($"Cut {rib.Key} back", $"{string.Join(" and ", rib.Select(t => lengths.Text(t.BackMm)).Distinct())} from the opening's edge, at {rib.Count()} {(rib.Count() == 1 ? "place" : "places")}. {(ribsFirst ? "A guard strip behind it, so that the blade does not reach the skin." : "The skin is open already: cut from inside, with the cover ready.")}", 15, WorkPlace.Inside, "Hacksaw or disc", ribsFirst ? "Guard strip" : "Clamps") with
                {
                    Cautions = CutCautions,
                    Weather = ribsFirst ? WeatherNeeds.Any : Dry,
                };
            }
        }

        private WorkStep EdgeTrim(double edgeMm)
        {
            double trim = fitting.CutOut.PerimeterMm + KindRules.TrimOverlapMm;
            (string what, string name) = edgeMm <= KindRules.TrimMostMm ? ($"over both skins, {lengths.Text(edgeMm)}", "Edge trim")
                : work.Schools.WideTrim == WideTrim.InnerEdge ? ($"on the inner skin alone, the gap to the outer one filled with mastic; the skins are not pinched together", "Edge trim")
                : ($"wide enough for both skins, {lengths.Text(edgeMm)}; the skins are not pinched together", "Wide edge trim");
            return Step("Edge trim", $"{lengths.Text(trim)} of trim {what}. Begin at the least seen edge and trim it back where it meets.", 15, Out, "Snips", "Soft mallet") with
            {
                Weather = Dry,
                Consumables = [new Consumable(name, trim, "mm")],
            };
        }

        /// <summary>What makes a thin wall as thick as the clamp wants it.</summary>
        private WorkStep SpacerRing(double thickMm)
        {
            bool glued = work.Schools.SpacerRing == Shell.SpacerRing.Adhesive;
            double path = fitting.CutOut.PerimeterMm;
            return Step("Spacer ring", $"A ring {lengths.Text(thickMm)} thick round the hole, inside, {(glued ? "in a bead of polyurethane adhesive, held by clamps until it carries itself" : "on double-sided acrylic foam tape, pressed on hard all round")}. Its edge stays flush with the hole.", 30, WorkPlace.Inside, glued ? "Clamps" : "Roller") with
            {
                Cautions = glued ? ["Gloves and air: isocyanates."] : [],
                WaitHours = glued ? RingHours : 0,
                Consumables = [glued ? new Consumable("Polyurethane adhesive", path * RingBeadMm2 / 1000, "ml") : new Consumable("Acrylic foam tape", path, "mm")],
            };
        }

        private IEnumerable<WorkStep> Screwed()
        {
            int screws = marked.ScrewHoles.Count;
            string pilot = screws == 0 ? "mark its fasteners" : $"{screws} pilot holes of {lengths.Drill(fitting.Screws!.PilotMm)}";
            yield return Step("Dry fit", $"Set it in, {pilot}; mark front. {seat.Verdict}", 15 + screws, Out, "Drill") with { Cautions = OutCautions, Weather = Dry };
            yield return Bedding();
            yield return Step("Set it and draw it down", $"Set it straight, {(screws == 0 ? "its fasteners" : $"{screws} screws")} by hand from the middle of opposite sides outwards, in two rounds; stop when the bedding shows all round, before it squeezes dry.", 10 + (screws * MinutesPerScrew), Out, "Hand driver") with
            {
                People = Heavy ? 2 : 1,
                Cautions = OutCautions,
                Weather = Laying,
                Shell = ShellChange.Closes,
                Consumables = screws == 0 ? [] : [new Consumable("Screw", screws, "count")],
                Holds = [HoldPoint.Seen("Bedding shows all round")],
            };
            bool glued = roof && work.Schools.Bedding == FlangeBedding.Adhesive;
            yield return fitting.HeatMm > 0 ? SealHot() : Step("Seal over", glued
                ? "Trim what was pressed out flush. Roofing tape over the edge of the flange and onto the skin, low side first, each next piece over the last, rolled down hard; its last joint at the low end."
                : roof
                ? "Trim the bedding flush. Lap sealant over every screw head and along the edge, thin at the low end so that water runs off."
                : "Trim the bedding flush. A fine bead along the top and both sides, tooled to a fillet with soapy water; a second fine one where it has shrunk. The bottom stays open, so that what gets in gets out.", 20, Out) with
            {
                Cautions = OutCautions,
                Weather = Laying,
                WaitHours = 4,
                Consumables = [glued ? new Consumable("Roofing tape", fitting.Flange.PerimeterMm * 1.1, "mm") : new Consumable(roof ? "Lap sealant" : "Tooling sealant", fitting.Flange.PerimeterMm * 0.06, "ml")],
            };
        }

        /// <summary>Round a flue nothing that softens: no tape, no lap sealant.</summary>
        private WorkStep SealHot() =>
            Step("Seal over", $"Trim what was pressed out flush. {(product is null ? "A sealant made for the heat, or a collar" : product.Name)} over every screw head and along the edge, a thin fillet, open at the low end. No butyl, no lap sealant: they run in the heat.", 20, Out) with
            {
                Cautions = ["The first firing is watched, windows open: carbon monoxide and smoke. An alarm is fitted before.", .. OutCautions],
                Weather = Laying,
                WaitHours = 24,
                Consumables = [new Consumable(product?.Name ?? "High-temperature sealant", fitting.Flange.PerimeterMm * 0.06, "ml")],
            };

        /// <summary>What can be made at the bench before the shell is opened.</summary>
        private IEnumerable<WorkStep> Prepared()
        {
            if (frame.Sides.Any(s => s.MostMm >= 0.5) || roof)
                yield return Step("Inner frame", frame.Verdict, 90, WorkPlace.Bench, "Plane or jigsaw", "Scribe sheets at 1:1") with { Holds = [HoldPoint.Within("Greatest gap between frame and skin", 0, 1, "mm")] };
            if (verdict.Rows.FirstOrDefault(r => r.Id == BackingRule.Id && r.State == VerdictState.NeedsWork) is { Remedy: { } pieces })
                yield return Step("Backing pieces", $"{pieces} Glue or screw them to the ribs, so that the frame's corner screws hold in them.", 30, WorkPlace.Inside, "Saw", "Clamps") with { Holds = [HoldPoint.Seen("Every corner screw has wood behind it")] };
            if (fitting.Halves is { Lugs: > 0 } halves)
            {
                yield return Step("Trim the lugs", $"Work out the trim on the Clamp tab and cut all {halves.Lugs} lugs to one length, ticking each: one left long holds a corner up.", 5 + (2 * halves.Lugs), WorkPlace.Bench, "Fine saw", "Calliper") with
                {
                    Holds = [HoldPoint.Within("Lugs trimmed", halves.Lugs, 0, "count")],
                };
            }
        }

        private IEnumerable<WorkStep> Clamped()
        {
            if (work.Site.WallMm is { } wall && wall < fitting.Clamp!.LeastMm) yield return SpacerRing(fitting.Clamp.LeastMm - wall);
            yield return Step("Dry fit", $"Both halves together without bedding; it must not rock. Where the lining is not in yet, packers of its thickness go under the inner half. {seat.Verdict}", 20, Out) with { Cautions = OutCautions, Weather = Dry, People = Heavy ? 2 : 1 };
            yield return Bedding();
            yield return Step("Clamp it", $"Outer half from outside, inner half from inside: every screw finger-tight first, then by hand in the numbered order{(fitting.Halves is { GasketMm: > 0 } h ? $", until the gasket of {lengths.Text(h.GasketMm)} stands at {lengths.Text(h.GasketMm / 2)}" : "")}.", 40, WorkPlace.Inside, "Hand driver", "Feeler or calliper") with
            {
                People = 2,
                Weather = Laying,
                Shell = ShellChange.Closes,
                Holds = fitting.Halves is { GasketMm: > 0 } g ? [HoldPoint.Within("Gap of the gasket, everywhere", g.GasketMm / 2, g.GasketMm * 0.05, "mm")] : [],
            };
        }

        private IEnumerable<WorkStep> Bonded()
        {
            PaneBondPlan bond = PaneBond.Of(fitting, work.Site.Panel.Material, product, lengths).Result;
            BeadPlan bead = bond.Bead;
            if (work.Site.Panel.SkinGapMm is not null)
                yield return Step("Check the two skins", "Skins still bonded to one another round the hole? Where they are not, re-bond, clamp and wait.", 15, WorkPlace.Inside, "Clamps") with { Holds = [HoldPoint.Seen("Skins bonded all round")] };
            yield return fitting.Bonded?.Pane == Pane.Acrylic ? CleanAcrylic(bond.PathMm) : CleanGlass(bond.PathMm);
            yield return Step("Lay the bead", $"Triangular notch {lengths.Text(bond.NotchBaseMm)} by {lengths.Text(bond.NotchHeightMm)}, from the middle of the bottom edge in one go, joint at the bottom: {bead.BoughtMl:0} ml, {bead.Cartridges} {(bead.Cartridges == 1 ? "cartridge" : "cartridges")}, {bead.LayMinutes:0.#} min. {bead.Verdict}", bead.LayMinutes + 5, Out, "Battery gun", "Second gun, loaded") with
            {
                Weather = Laying,
                Cautions = [.. Refused(), .. product?.Hazards is { Length: > 0 } hazards ? [hazards] : Array.Empty<string>()],
                Consumables = [new Consumable(product?.Name ?? "Adhesive that Sealing allows for this pane", bead.BoughtMl, "ml")],
            };
            yield return Step("Set the pane", $"Two people, suction lifters, bottom edge first on its spacers of {lengths.Text(bond.ThickMm)}; press evenly, equal gap at the bottom edge; tape it to the skin above with the strips that hang ready.", 15, Out, "Suction lifters", "Spacers") with
            {
                People = 2,
                Weather = Laying,
                Shell = ShellChange.Closes,
                Cautions = [fitting.Bonded?.Pane == Pane.Acrylic ? "Large pane: two people." : "Glass: two people, cut-proof gloves."],
                Consumables = [new Consumable("Holding tape", 2000, "mm")],
                Holds = [HoldPoint.Within("Gap along the bottom edge differs by", 0, 1, "mm")],
            };
            yield return Step("Let it hold", "No door is slammed and the vehicle stays where it is until the bond carries itself. Sealing allows for the weather.", 0, Out) with { WaitHours = Math.Round(bond.HoldsAfterHours ?? 24), Weather = Laying };
        }

        private WorkStep CleanGlass(double pathMm) =>
            Step("Clean, activate, prime", "Degrease; wipe the land with activator in one direction, flash off; prime the black border and the painted edge, flash off. An opened wipe counts as used.", 30, Out, "Lint-free cloths", "Felt applicators") with
            {
                Weather = Laying,
                Cautions = ["Gloves and air: solvents. Rags go into a lidded metal container."],
                Consumables = [new Consumable("Activator wipe", 4, "count"), new Consumable("Primer", pathMm * 0.01, "ml")],
            };

        /// <summary>Solvent crazes acrylic: soap, water and abrasive, and a primer only where the adhesive's sheet names one for acrylic.</summary>
        private WorkStep CleanAcrylic(double pathMm)
        {
            bool primed = product?.To(Substrate.Acrylic) == Adhesion.WithPrimer;
            return Step("Clean and abrade", $"Skin: degrease, let it dry. Pane: soap and water only, then dull the land with fine abrasive pads and wipe it with clean water.{(primed ? $" Prime the land with the primer that the sheet of {product!.Name} names for acrylic, nothing else; flash off." : "")}", 30, Out, "Abrasive pads", "Lint-free cloths") with
            {
                Weather = Laying,
                Cautions = ["No solvent, activator or glass cleaner on acrylic: it crazes, at once or weeks later."],
                Consumables = [new Consumable("Abrasive pad", 2, "count"), .. primed ? [new Consumable("Primer for acrylic", pathMm * 0.01, "ml")] : Array.Empty<Consumable>()],
            };
        }

        private string[] Refused() => refused is null ? [] : [refused];

        private WorkStep Bedding()
        {
            double bead = fitting.Flange.PerimeterMm * BedBeadMm2 / 1000, fill = seat.Bedded ? seat.FillMl : 0;
            bool butyl = product is { Family: var family } ? family == ProductFamily.ButylTape : !roof || work.Schools.Bedding == FlangeBedding.ButylAndLapSealant;
            bool tape = seat.Strips.Count > 0 && butyl;
            string adhesive = product?.Name ?? (butyl ? "Bedding" : "Polyurethane adhesive or structural neutral silicone");
            string what = !seat.Bedded ? "Make the adapter plate first, or fill the valleys solid and let that harden: no bedding carries these gaps."
                : tape ? $"{seat.Strips.Count} strips in {seat.Strips.Max(s => s.Layer)} layers by the list on the Seat tab, {lengths.Text(seat.TapeMm)} in all; joints never above one another, the screw line on tape."
                : $"{adhesive}: a full bead inside and outside the screw line, {fill:0} ml to fill and {bead:0} ml of bead.";
            return Step("Bed the flange", $"Degrease both faces, let them dry. {what}", 25, Out, "Lint-free cloths") with
            {
                Cautions = [.. Refused(), .. fitting.Kind == FittingKind.HingedWindow ? ["No solvent on the acrylic pane: it crazes."] : Array.Empty<string>(), .. OutCautions],
                Weather = Laying,
                Consumables = [tape ? new Consumable($"Butyl tape {seat.Tape.WidthMm:0.#} x {seat.Tape.ThickMm:0.#}", seat.TapeMm, "mm") : new Consumable(adhesive, fill + bead, "ml"), new Consumable("Degreaser", 50, "ml")],
            };
        }

        private static WorkStep Step(string title, string what, double likely, WorkPlace place, params string[] tools) =>
            new(0, title, what, tools, [], Minutes.About(likely), 1, place, [], [], ShellChange.None, WeatherNeeds.Any, 0);
    }
}
