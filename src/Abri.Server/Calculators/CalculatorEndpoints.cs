using Abri.Core;
using Abri.Core.Days;
using Abri.Core.Days.Planning;
using Abri.Core.Floor;
using Abri.Core.Geometry;
using Abri.Core.Linings;
using Abri.Core.Load;
using Abri.Core.Logbook;
using Abri.Core.Metal;
using Abri.Core.Openings;
using Abri.Core.Openings.Clamping;
using Abri.Core.Openings.Seating;
using Abri.Core.Openings.Together;
using Abri.Core.Procedures;
using Abri.Core.Sealing;
using Abri.Core.Shell;
using Abri.Core.Stores;
using Abri.Core.Water;
using Abri.Core.Water.Leaks;
using Abri.Core.Weather;
using Abri.Server.Api;
using Microsoft.AspNetCore.Http.HttpResults;

namespace Abri.Server.Calculators;

/// <summary>Every computation of the core, without a vehicle and without state: plain JSON in, worked result out.</summary>
internal static class CalculatorEndpoints
{
    public static void MapCalculators(this WebApplication app)
    {
        RouteGroupBuilder calculators = app.MapGroup("/api/calculators").WithTags("calculators");
        calculators.MapPost("/bays", (BaysInput x) => Answer(Bays.Of(x.Panel, x.Members))).Validate<BaysInput>().WithName("bays");
        calculators
            .MapPost("/length-parse", (LengthParseInput x) => Answer(LengthText.Parse(x.Text, x.Lengths ?? LengthFormat.Millimetres)))
            .Validate<LengthParseInput>()
            .WithName("length-parse");
        calculators
            .MapPost("/tape-chain", (TapeChainInput x) => Answer(TapeChain.Members(x.Panel, x.Run)))
            .Validate<TapeChainInput>()
            .WithName("tape-chain");
        calculators.MapPost("/squareness", (SixReadings x) => Answer(Squareness.Of(x))).Validate<SixReadings>().WithName("squareness");
        calculators
            .MapPost("/parallel-lines", (ParallelLinesInput x) => Answer(ParallelLines.Of(x.Lines, x.ApartMm, x.OpeningMm)))
            .Validate<ParallelLinesInput>()
            .WithName("parallel-lines");
        calculators
            .MapPost("/sagitta", (SagittaInput x) => Answer(Sagitta.Of(x.RadiusMm, x.ChordMm, x.RiseMm)))
            .Validate<SagittaInput>()
            .WithName("sagitta");
        calculators
            .MapPost("/section-parse", (SectionParseInput x) => Answer(DepthPairs.Parse(x.Text, x.Lengths)))
            .Validate<SectionParseInput>()
            .WithName("section-parse");
        calculators
            .MapPost("/surface-compare", (BaysInput x) => Answer(SurfaceComparison.Of(x.Panel, x.Members)))
            .Validate<BaysInput>()
            .WithName("surface-compare");
        calculators
            .MapPost("/surface-relief", (SurfaceReliefInput x) => Answer(SurfaceRelief.Of(x.Panel, x.Members, x.StepMm)))
            .Validate<SurfaceReliefInput>()
            .WithName("surface-relief");
        calculators
            .MapPost("/surface-section", (SurfaceSectionInput x) => Answer(CrossSection.At(x.Panel, x.Members, x.StationMm)))
            .Validate<SurfaceSectionInput>()
            .WithName("surface-section");
        calculators
            .MapPost("/ponding", (PondingInput x) => Answer(Ponding.Of(x.Roof, x.Attitude, x.CellMm)))
            .Validate<PondingInput>()
            .WithName("ponding");
        calculators
            .MapPost("/ponding-grid", (PondingGridInput x) => Answer(StandingWater.On(x.Grid)))
            .Validate<PondingGridInput>()
            .WithName("ponding-grid");
        calculators
            .MapPost("/ponding-worst", (PondingWorstInput x, CancellationToken stop) => Answer(Ponding.Worst(x.Roof, stop)))
            .Validate<PondingWorstInput>()
            .WithName("ponding-worst");
        calculators
            .MapPost("/ponding-park", (PondingParkInput x, CancellationToken stop) => Answer(Ponding.Park(x.Roof, x.Attitude, stop)))
            .Validate<PondingParkInput>()
            .WithName("ponding-park");
        calculators
            .MapPost("/ponding-mends", (PondingMendsInput x, CancellationToken stop) =>
                Answer(PondingMends.Of(x.Roof, x.Attitude, x.Places, x.Lengths ?? LengthFormat.Millimetres, stop))
            )
            .Validate<PondingMendsInput>()
            .WithName("ponding-mends");
        calculators
            .MapPost("/drying", (DryingInput x) => Answer(Drying.Of(x.Readings, x.RestingPercent, x.LimitPercent)))
            .Validate<DryingInput>()
            .WithName("drying");
        calculators
            .MapPost("/seal-gap", (SealGapInput x) => Answer(SealCheck.Of(x.Readings, x.Lengths ?? LengthFormat.Millimetres)))
            .Validate<SealGapInput>()
            .WithName("seal-gap");
        calculators.MapPost("/leak-suspects", (LeakQuestion x) => Answer(LeakRanking.Of(x))).Validate<LeakQuestion>().WithName("leak-suspects");
        calculators
            .MapPost("/leak-suspects-shell", (LeakShellInput x, CancellationToken stop) => Answer(LeakHunt.Of(x.Shell, x.Mark, stop)))
            .Validate<LeakShellInput>()
            .WithName("leak-suspects-shell");
        calculators
            .MapPost("/next-water-test", (NextWaterTestInput x, CancellationToken stop) =>
                Answer(NextWaterTest.Of(x.Question, x.Candidates, stop), "/question")
            )
            .Validate<NextWaterTestInput>()
            .WithName("next-water-test");
        calculators
            .MapPost("/resting-plane", (RestingPlaneInput x) => Answer(RestingPlane.Under(x.Samples, x.Weight)))
            .Validate<RestingPlaneInput>()
            .WithName("resting-plane");
        calculators
            .MapPost("/seat", (SeatInput x) => Answer(FlangeSeat.Of(x.Site, x.Centre, x.Tape), "/site"))
            .Validate<SeatInput>()
            .WithName("seat");
        calculators
            .MapPost("/clamp-stack", (ClampStackInput x) =>
                Answer(ClampedWall.Of(x.Layers, x.NominalGapMm, x.Range, x.Lugs, x.Screws, x.Lengths ?? LengthFormat.Millimetres))
            )
            .Validate<ClampStackInput>()
            .WithName("clamp-stack");
        calculators
            .MapPost("/tightening-order", (TighteningOrderInput x) => Answer(TighteningOrder.Of(x.Places)))
            .Validate<TighteningOrderInput>()
            .WithName("tightening-order");
        calculators
            .MapPost("/gasket", (GasketInput x) => Answer(Gasket.Of(x.BeforeMm, x.AfterMm, x.Lengths ?? LengthFormat.Millimetres)))
            .Validate<GasketInput>()
            .WithName("gasket");
        calculators
            .MapPost("/bead", (BeadPlanInput x) => Answer(Bead.Of(x.Bead, x.Lengths ?? LengthFormat.Millimetres), "/bead"))
            .Validate<BeadPlanInput>()
            .WithName("bead");
        calculators
            .MapPost("/rust-treatment", (RustTreatmentInput x) => Answer(RustProcedure.Of(x.Work, x.Lengths ?? LengthFormat.Millimetres)))
            .Validate<RustTreatmentInput>()
            .WithName("rust-treatment");
        calculators
            .MapPost("/bend", (BendInput x) =>
                TypedResults.Ok(Bend.Of(x.Metal, x.ThickMm, x.RadiusMm, x.Degrees, x.Lengths ?? LengthFormat.Millimetres))
            )
            .Validate<BendInput>()
            .WithName("bend");
        calculators
            .MapPost("/fasteners", (FastenersInput x) => Answer(Rivets.Of(x.Row, x.Lengths ?? LengthFormat.Millimetres)))
            .Validate<FastenersInput>()
            .WithName("fasteners");
        calculators.MapPost("/patch", (PatchInput x) => Answer(Patch.Of(x.Site), "/site")).Validate<PatchInput>().WithName("patch");
        calculators
            .MapPost("/blank", (BlankInput x) => Answer(FlatBlanks.Of(x.Design, x.Lengths ?? LengthFormat.Millimetres), "/design"))
            .Validate<BlankInput>()
            .WithName("blank");
        calculators
            .MapPost("/weld-order", (WeldOrderInput x) => Answer(WeldOrder.Of(x.Edge, x.SheetMm, x.Lengths ?? LengthFormat.Millimetres)))
            .Validate<WeldOrderInput>()
            .WithName("weld-order");
        calculators
            .MapPost("/hole-row", (HoleRowInput x) => Answer(HoleRows.Of(x.Row, x.Count, x.Lengths ?? LengthFormat.Millimetres)))
            .Validate<HoleRowInput>()
            .WithName("hole-row");
        calculators
            .MapPost("/nest", (NestInput x, CancellationToken stop) => Answer(Nest.Of(x.Question, stop), "/question"))
            .Validate<NestInput>()
            .WithName("nest");
        calculators
            .MapPost("/door-bow", (DoorBowInput x) => Answer(DoorBow.Of(x.Door, x.HeightMm, x.Lengths ?? LengthFormat.Millimetres), "/door"))
            .Validate<DoorBowInput>()
            .WithName("door-bow");
        calculators
            .MapPost("/window-out", (WindowOutInput x) => Answer(WindowOut.Of(x.Window, x.Site, x.Lengths ?? LengthFormat.Millimetres)))
            .Validate<WindowOutInput>()
            .WithName("window-out");
        calculators
            .MapPost("/floor-replacement", (FloorReplacementInput x) => Answer(FloorReplacement.Of(x.Site, x.Replacement)))
            .Validate<FloorReplacementInput>()
            .WithName("floor-replacement");
        calculators
            .MapPost("/lining-holes", (LiningHolesInput x) => Answer(LiningHoles.Of(x.Site, x.Lining)))
            .Validate<LiningHolesInput>()
            .WithName("lining-holes");
        calculators
            .MapPost("/board-cuts", (BoardCutsInput x, CancellationToken stop) => Answer(BoardCuts.Of(x.Question, stop), "/question"))
            .Validate<BoardCutsInput>()
            .WithName("board-cuts");
        calculators
            .MapPost("/board-outline", (BoardOutlineInput x) => Answer(BoardOutline.Of(x.Board, x.Lengths ?? LengthFormat.Millimetres), "/board"))
            .Validate<BoardOutlineInput>()
            .WithName("board-outline");
        calculators
            .MapPost("/coating", (CoatingInput x) => TypedResults.Ok(Coating.Of(x.Coating, x.Lengths ?? LengthFormat.Millimetres)))
            .Validate<CoatingInput>()
            .WithName("coating");
        calculators.MapGet("/wood-coats", () => TypedResults.Ok(TypicalWoodCoats.All)).WithName("wood-coats");
        calculators
            .MapPost("/probe-grid", (ProbeGridInput x) => Answer(ProbeGrid.Parse(x.Text, x.Lengths)))
            .Validate<ProbeGridInput>()
            .WithName("probe-grid");
        calculators
            .MapPost("/splice", (SpliceInput x) => Answer(Splice.Of(x.Timber, x.Lengths ?? LengthFormat.Millimetres), "/timber"))
            .Validate<SpliceInput>()
            .WithName("splice");
        calculators
            .MapPost("/deflection", (DeflectionInput x) => Answer(DeckSag.Of(x.Deck, x.Lengths ?? LengthFormat.Millimetres), "/deck"))
            .Validate<DeflectionInput>()
            .WithName("deflection");
        calculators
            .MapPost("/furring", (FurringInput x) => Answer(Furring.Of(x.Floor, x.Lengths ?? LengthFormat.Millimetres), "/floor"))
            .Validate<FurringInput>()
            .WithName("furring");
        calculators
            .MapPost("/epoxy-batch", (EpoxyBatchInput x) => TypedResults.Ok(EpoxyBatch.Of(x.Epoxy)))
            .Validate<EpoxyBatchInput>()
            .WithName("epoxy-batch");
        calculators
            .MapPost("/shims", (ShimsInput x) => Answer(Shims.Of(x.Readings, x.MayTakeOffMm, x.Lengths ?? LengthFormat.Millimetres)))
            .Validate<ShimsInput>()
            .WithName("shims");
        calculators
            .MapPost("/thermal", (ThermalInput x) => TypedResults.Ok(BuildUp.Of(x.BuildUp, x.Lengths ?? LengthFormat.Millimetres)))
            .Validate<ThermalInput>()
            .WithName("thermal");
        calculators.MapGet("/layer-materials", () => TypedResults.Ok(TypicalLayers.All)).WithName("layer-materials");
        calculators
            .MapPost("/head-room", (HeadRoomInput x) =>
                TypedResults.Ok(HeadRoom.Of(x.BareMm, x.FloorMm, x.CeilingMm, x.TallestMm, x.Lengths ?? LengthFormat.Millimetres))
            )
            .Validate<HeadRoomInput>()
            .WithName("head-room");
        calculators
            .MapPost("/daylight", (DaylightInput x) => Answer(Daylight.Of(x.Place, x.Date, x.TimeZone)))
            .Validate<DaylightInput>()
            .WithName("daylight");
        calculators
            .MapPost("/weather-expand", (WeatherExpandInput x) => Answer(WeatherFromDays.Of(x.Days, x.TimeZone, x.Place, x.IssuedAt)))
            .Validate<WeatherExpandInput>()
            .WithName("weather-expand");
        calculators
            .MapPost("/cut-window", (CutWindowInput x) => TypedResults.Ok(CutGate.Of(x.Span, x.On, x.Care, x.Now)))
            .Validate<CutWindowInput>()
            .WithName("cut-window");
        calculators
            .MapPost("/rain-risk", (RainRiskInput x, CancellationToken stop) =>
                Answer(RainRisk.Of(x.Span, x.Forecast, x.From, x.Starts, x.Seed, stop: stop))
            )
            .Validate<RainRiskInput>()
            .WithName("rain-risk");
        calculators
            .MapPost("/plan", (PlanInput x, CancellationToken stop) => Answer(WorkPlan.Of(x.Question, stop: stop), "/question"))
            .Validate<PlanInput>()
            .WithName("plan-calculator");
        calculators
            .MapPost("/learning", (LearningInput x) => TypedResults.Ok(Learning.Of(x.FirstMinutes, x.Count, x.Rate)))
            .Validate<LearningInput>()
            .WithName("learning");
        calculators
            .MapPost("/axle-loads", (AxleLoadsInput x) => TypedResults.Ok(AxleLoads.Of(x.Gear, x.Masses)))
            .Validate<AxleLoadsInput>()
            .WithName("axle-loads");
        calculators
            .MapPost("/weighbridge", (WeighbridgeInput x) => TypedResults.Ok(Weighbridge.Of(x.Papers, x.Weighed, x.IsTrailer)))
            .Validate<WeighbridgeInput>()
            .WithName("weighbridge");
        calculators
            .MapPost("/deadening", (DeadeningInput x) => TypedResults.Ok(Deadening.Of(x.Question)))
            .Validate<DeadeningInput>()
            .WithName("deadening");
        calculators.MapPost("/packs", (PacksInput x) => Answer(Packs.Of(x.Question), "/question")).Validate<PacksInput>().WithName("packs");
        calculators
            .MapPost("/blade-life", (BladeLifeInput x) => TypedResults.Ok(BladeLife.Of(x.Question)))
            .Validate<BladeLifeInput>()
            .WithName("blade-life");
        calculators
            .MapPost("/stock-expiry", (StockExpiryInput x) =>
                TypedResults.Ok(
                    StockLife.Of(
                        x.BoughtOn,
                        x.ExpiresOn,
                        x.OpenedOn,
                        new KeepsFor(x.ClosedMonths, x.OpenDays, new Source("What was typed", SourceKind.Assumption))
                    )
                )
            )
            .Validate<StockExpiryInput>()
            .WithName("stock-expiry");
        calculators
            .MapPost("/maintenance-due", (MaintenanceDueInput x) => TypedResults.Ok(UpkeepRule.Due(x.Last, x.Months)))
            .Validate<MaintenanceDueInput>()
            .WithName("maintenance-due");
        calculators.MapPost("/sol-air", (SolAirInput x) => TypedResults.Ok(SolAir.Of(x.Roof))).Validate<SolAirInput>().WithName("sol-air");
        calculators
            .MapPost("/hole-cover", (HoleCoverInput x) => TypedResults.Ok(HoleCover.Of(x.LengthMm, x.WidthMm, x.Fits)))
            .Validate<HoleCoverInput>()
            .WithName("hole-cover");
        calculators
            .MapPost("/paint", (PaintInput x) => TypedResults.Ok(Paint.Of(x.Coats, x.AreaM2, x.AirC)))
            .Validate<PaintInput>()
            .WithName("paint");
        calculators.MapPost("/paint-now", (PaintNowInput x) => Answer(PaintNow.Of(x.Now))).Validate<PaintNowInput>().WithName("paint-now");
        calculators.MapGet("/reference-fields", () => TypedResults.Ok(ReferenceField.All)).WithName("reference-fields");
        calculators
            .MapPost("/bond-thickness", (BondThicknessInput x) => TypedResults.Ok(BondThickness.Of(x.First, x.Second, x.LengthMm, x.SpanK, x.Strain)))
            .Validate<BondThicknessInput>()
            .WithName("bond-thickness");
        calculators
            .MapPost("/absolute-humidity", (AirInput x) => Answer(MoistAir.Holds(x.AirC, x.RelativePercent)))
            .Validate<AirInput>()
            .WithName("absolute-humidity");
        calculators
            .MapPost("/dew-point", (DewPointInput x) => Answer(MoistAir.Point(x.AirC, x.RelativePercent, x.SurfaceC)))
            .Validate<DewPointInput>()
            .WithName("dew-point");
        calculators
            .MapPost("/opening-verdict", (OpeningVerdictInput x) => Answer(OpeningVerdict.Of(x.Site, x.Centre), "/site"))
            .Validate<OpeningVerdictInput>()
            .WithName("opening-verdict");
        calculators
            .MapPost("/opening-positions", (OpeningPositionsInput x, CancellationToken stop) =>
                Answer(RankedPositions.Of(x.Site, x.Wishes, stop), "/site")
            )
            .Validate<OpeningPositionsInput>()
            .WithName("opening-positions");
        calculators
            .MapPost("/openings-together", (OpeningsTogetherInput x, CancellationToken stop) => Answer(PlacingTogether.Of(x.Site, stop), "/site"))
            .Validate<OpeningsTogetherInput>()
            .WithName("openings-together");
        calculators
            .MapPost("/draught", (DraughtInput x) => Answer(Draught.Of(x.Ways, x.Sources, x.VolumeM3, x.FloorAreaM2)))
            .Validate<DraughtInput>()
            .WithName("draught");
        calculators
            .MapPost("/sill-taper", (SillTaperInput x) =>
                Answer(SillTaper.Of(x.LengthMm, x.TaperDeg, x.FrontMm, x.Lengths ?? LengthFormat.Millimetres))
            )
            .Validate<SillTaperInput>()
            .WithName("sill-taper");
        calculators
            .MapPost("/inner-frame", (InnerFrameInput x) => Answer(InnerFrame.Of(x.Site, x.Centre), "/site"))
            .Validate<InnerFrameInput>()
            .WithName("inner-frame");
        calculators
            .MapPost("/tape-plan", (TapePlanInput x) =>
                Answer(TapePlan.Of(x.Sides, x.Tape ?? BeddingTape.Usual, x.Lengths ?? LengthFormat.Millimetres))
            )
            .Validate<TapePlanInput>()
            .WithName("tape-plan");
        calculators
            .MapPost("/opening-procedure", (OpeningProcedureInput x) => Answer(OpeningProcedure.Of(x.Work), "/work"))
            .Validate<OpeningProcedureInput>()
            .WithName("opening-procedure");
        calculators
            .MapPost("/header-size", (HeaderSizeInput x) => Answer(HeaderSize.Of(x.ClearMm, x.Material)))
            .Validate<HeaderSizeInput>()
            .WithName("header-size");
        calculators
            .MapPost("/condensation", (CondensationInput x) => Answer(Condensation.Of(x.Signs)))
            .Validate<CondensationInput>()
            .WithName("condensation");
        calculators
            .MapPost("/sealant-choice", (SealantChoiceInput x) =>
                Answer(SealantChoice.Of(x.Joint, x.Products, x.Bedding, x.AirC, x.Lengths ?? LengthFormat.Millimetres, x.Lies))
            )
            .Validate<SealantChoiceInput>()
            .WithName("sealant-choice");
        calculators
            .MapPost("/cure", (CureInput x) => Answer(Cure.Of(x.Product, x.WidthMm, x.OpenFaces, x.Weather)))
            .Validate<CureInput>()
            .WithName("cure");
        calculators
            .MapPost("/open-time", (OpenTimeInput x) => Answer(OpenTime.Of(x.Product, x.Air, x.LayMinutes)))
            .Validate<OpenTimeInput>()
            .WithName("open-time");
        calculators
            .MapPost("/pot-life", (PotLifeInput x) => TypedResults.Ok(OpenTime.InThePot(x.MinutesAt23C, x.AirC, x.Grams)))
            .Validate<PotLifeInput>()
            .WithName("pot-life");
        calculators
            .MapPost("/setting-out", (SettingOutInput x) => Answer(SettingOut.Of(x.Site, x.Centre, x.Marking), "/site"))
            .Validate<SettingOutInput>()
            .WithName("setting-out");
        calculators
            .MapPost("/hole-check", (HoleCheckInput x) => Answer(HoleCheck.Of(x.Frame, x.Measured, x.Facing, x.Lengths ?? LengthFormat.Millimetres)))
            .Validate<HoleCheckInput>()
            .WithName("hole-check");
    }

    /// <summary>Fields of inputs that stand beside the site.</summary>
    private static readonly string[] BesideSite = ["/marking", "/wishes", "/candidates", "/centre"];

    /// <summary>The worked result, or what is wrong; pointers into the site are seen from the whole input.</summary>
    private static Results<Ok<Worked<T>>, ProblemHttpResult> Answer<T>(Result<Worked<T>> result, string site = "")
        where T : notnull
    {
        if (result.IsOk(out Worked<T>? worked, out Problem? problem))
            return TypedResults.Ok(worked);
        bool inSite = site == "/work" || !BesideSite.Any(field => problem.Pointer.StartsWith(field, StringComparison.Ordinal));
        return Problems.Of(inSite ? problem.Under(site) : problem);
    }
}
