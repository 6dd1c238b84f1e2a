using System.Text.Json.Nodes;
using Abri.Core;
using Abri.Core.Openings;
using Abri.Core.Sealing;

namespace Abri.Server.Tests;

/// <summary>Inputs of the calculators, made up for tests, as JSON.</summary>
internal static class Samples
{
    public static JsonNode Site() =>
        JsonNode.Parse(
            """
            {
              "panel": { "kind": "roof", "outline": [{"sMm":0,"tMm":-850},{"sMm":3000,"tMm":-850},{"sMm":3000,"tMm":850},{"sMm":0,"tMm":850}], "skinMm": 0.8, "material": "mildSteel" },
              "members": [
                { "name": "Bow 1", "kind": "roofBow", "role": "secondary", "footprint": { "shape": "spine", "points": [{"sMm":590,"tMm":-850},{"sMm":590,"tMm":850}], "widthMm": 60 }, "depthMm": 40 },
                { "name": "Bow 2", "kind": "roofBow", "role": "secondary", "footprint": { "shape": "spine", "points": [{"sMm":1195,"tMm":-850},{"sMm":1195,"tMm":850}], "widthMm": 60 }, "depthMm": 40 }
              ],
              "fitting": {
                "name": "400 roof vent", "kind": "roofVent", "cutOut": {"widthMm":400,"heightMm":400,"cornerRadiusMm":20}, "toleranceMinusMm": 1, "tolerancePlusMm": 4,
                "neck": {"widthMm":396,"heightMm":396,"cornerRadiusMm":18}, "flange": {"widthMm":490,"heightMm":490,"cornerRadiusMm":30}, "leastLapMm": 25,
                "clearance": {"frontMm":38,"rearMm":38,"topMm":38,"bottomMm":38}, "massKg": 4.5, "vibrates": false, "hingeSide": null,
                "sweep": {"frontMm":0,"rearMm":0,"topMm":0,"bottomMm":0}, "flatnessMm": 1, "beddingMostMm": 10, "clamp": null,
                "screws": {"alongWidth":5,"alongHeight":3,"insetMm":12,"pilotMm":2.5}
              }
            }
            """
        )!;

    private static JsonObject Together(string name, string wish) =>
        new()
        {
            ["name"] = name,
            ["fitting"] = Site()["fitting"]!.DeepClone(),
            ["wishes"] = new JsonArray(new JsonObject { ["kind"] = wish, ["weight"] = 1 }),
        };

    private static JsonNode Product() => JsonNode.Parse(AbriJson.Write(TypicalProducts.All[0]))!;

    public static JsonNode Joint() =>
        JsonNode.Parse(
            """
            {"name":"Seam","kind":"seam","lengthMm":1200,"one":"paintedMetal","other":"paintedMetal","gapMm":3,"movementMm":0.2,"sun":false,"standingWater":false,"removableLater":false,"paintedOver":true,
             "structural":false,"unbroken":false,"of":null,"productId":null,"history":[{"on":"2019-08-03","kind":"sealed","family":"neutralSilicone","product":"","by":""}],"notes":""}
            """
        )!;

    private static JsonObject Wet(params (string Field, JsonNode Value)[] more)
    {
        var input = new JsonObject
        {
            ["roof"] = new JsonObject
            {
                ["panel"] = Site()["panel"]!.DeepClone(),
                ["members"] = Site()["members"]!.DeepClone(),
                ["dams"] = JsonNode.Parse("""[{"name":"Vent","edge":{"sMinMm":700,"sMaxMm":1100,"tMinMm":-200,"tMaxMm":200},"standsMm":30}]"""),
            },
        };
        foreach ((string field, JsonNode value) in more)
            input[field] = value;
        return input;
    }

    private static JsonNode LeakQuestion() =>
        JsonNode.Parse(
            """{"spots":["stain"],"suspects":[{"name":"a","prior":0.3,"reaches":[0.9]},{"name":"b","prior":0.1,"reaches":[0.5]}],"evidence":[{"name":"rain","spot":0,"wet":true},{"name":"test","spot":0,"wet":false,"shows":[0.8,0]}]}"""
        )!;

    private static JsonObject WetShell()
    {
        JsonNode panel = JsonNode.Parse(
            """
            {
              "id": "roof", "openings": [{"name":"Vent","edge":{"sMinMm":700,"sMaxMm":1100,"tMinMm":-200,"tMaxMm":200},"fitted":true,"clamped":false}],
              "findings": [{"key":"finding-1","value":{"name":"Stain","kind":"stain","shape":"point","points":[{"sMm":1195,"tMm":600}],"seen":"inside","severity":"minor",
                "measures":{"lengthMm":null,"widthMm":null,"depthMm":null,"moisturePercent":null},"state":"open","seenBy":"","seenAt":"2026-04-11T09:30:00Z","notes":""}}],
              "suspects": [{"key":"suspect-1","value":{"name":"Bolt","kind":"screw","points":[{"sMm":1500,"tMm":300}],"condition":"cracked","sinceAt":null,"notes":""}}],
              "observations": [{"kind":"waterTest","place":{"sMm":1195,"tMm":600},"seenAt":"2026-04-12T09:30:00Z","wet":false,"moisturePercent":null,"wind":null,"attitude":null,
                "spray":{"panel":"roof","zone":{"sMinMm":1400,"sMaxMm":1600,"tMinMm":200,"tMaxMm":400},"minutes":5,"othersMasked":true},"afterMinutes":null,"seenBy":"","notes":""}],
              "sealReadings": [], "drains": [{"name":"Drain","place":{"sMm":100,"tMm":800},"clearedAt":null,"notes":""}],
              "coverings": [{"name":"Patch","kind":"patch","area":{"sMinMm":2000,"sMaxMm":2200,"tMinMm":300,"tMaxMm":500},"sealedAtBottom":false,"lap":"unknown","planned":false,"notes":""}]
            }
            """
        )!;
        (panel["panel"], panel["members"]) = (Site()["panel"]!.DeepClone(), Site()["members"]!.DeepClone());
        panel["panel"]!["arcRadiusAcrossMm"] = 7000;
        return new JsonObject
        {
            ["panels"] = new JsonArray(panel),
            ["attitude"] = JsonNode.Parse("""{"pitchDeg":-1,"rollDeg":0}"""),
            ["priors"] = JsonNode.Parse("""[{"kind":"seam","condition":"unknown","probability":0.1}]"""),
        };
    }

    private static JsonObject Surface()
    {
        JsonNode panel = Site()["panel"]!.DeepClone();
        panel["sections"] = JsonNode.Parse("""[{"stationMm":900,"readings":[{"tMm":-500,"depthMm":1},{"tMm":500,"depthMm":3}]}]""");
        return new JsonObject { ["panel"] = panel, ["members"] = Site()["members"]!.DeepClone() };
    }

    private static JsonObject Relief(string field, double value)
    {
        JsonObject relief = Surface();
        relief[field] = value;
        return relief;
    }

    /// <summary>A good input for each calculator.</summary>
    public static Dictionary<string, JsonNode> Inputs()
    {
        JsonNode centre = JsonNode.Parse("""{"sMm":892.5,"tMm":0}""")!;
        return new Dictionary<string, JsonNode>
        {
            ["bays"] = new JsonObject { ["panel"] = Site()["panel"]!.DeepClone(), ["members"] = Site()["members"]!.DeepClone() },
            ["length-parse"] = JsonNode.Parse("""{"text":"1 5/8\"","lengths":{"units":"inch","inchDenominator":16}}""")!,
            ["tape-chain"] = new JsonObject
            {
                ["panel"] = Site()["panel"]!.DeepClone(),
                ["run"] = JsonNode.Parse(
                    """{"readings":"560 / 620","from":"front","startsOnMember":false,"kind":"roofBow","name":"Bow","firstNumber":1,"depthMm":40,"lengths":{"units":"mm","inchDenominator":16}}"""
                ),
            },
            ["squareness"] = JsonNode.Parse("""{"topMm":1000,"bottomMm":1000,"frontMm":500,"rearMm":500,"risingMm":1118,"fallingMm":1118}""")!,
            ["parallel-lines"] = JsonNode.Parse(
                """{"lines":[{"name":"Gutter","firstMm":100,"secondMm":112},{"name":"Body line","firstMm":740,"secondMm":758}],"apartMm":2000,"openingMm":1100}"""
            )!,
            ["sagitta"] = JsonNode.Parse("""{"radiusMm":3000,"chordMm":450,"riseMm":null}""")!,
            ["section-parse"] = JsonNode.Parse("""{"text":"-600 12; 0 0; 600 14","lengths":{"units":"mm","inchDenominator":16}}""")!,
            ["surface-compare"] = Surface(),
            ["surface-relief"] = Relief("stepMm", 100),
            ["surface-section"] = Relief("stationMm", 900),
            ["ponding"] = Wet(("attitude", JsonNode.Parse("""{"pitchDeg":1,"rollDeg":0}""")!), ("cellMm", 50)),
            ["ponding-grid"] = JsonNode.Parse(
                """{"grid":{"cellMm":10,"columns":3,"rows":3,"heightsMm":[5,5,5,5,0,5,5,5,5],"sMinMm":0,"tMinMm":0}}"""
            )!,
            ["ponding-worst"] = Wet(),
            ["ponding-park"] = Wet(("attitude", JsonNode.Parse("""{"pitchDeg":1,"rollDeg":0}""")!)),
            ["ponding-mends"] = Wet(
                ("attitude", JsonNode.Parse("""{"pitchDeg":1,"rollDeg":0}""")!),
                ("places", JsonNode.Parse("""[{"dam":"Vent","what":"Move it","edge":{"sMinMm":1300,"sMaxMm":1700,"tMinMm":-200,"tMaxMm":200}}]""")!)
            ),
            ["resting-plane"] = JsonNode.Parse(
                """{"samples":[{"sMm":0,"tMm":0,"heightMm":8},{"sMm":400,"tMm":0,"heightMm":8},{"sMm":0,"tMm":400,"heightMm":8},{"sMm":400,"tMm":400,"heightMm":0}],"weight":{"sMm":200,"tMm":190}}"""
            )!,
            ["seat"] = new JsonObject
            {
                ["site"] = Site(),
                ["centre"] = centre.DeepClone(),
                ["tape"] = JsonNode.Parse("""{"widthMm":40,"thickMm":10,"squeezedShare":0.5}"""),
            },
            ["clamp-stack"] = JsonNode.Parse(
                """{"layers":[{"name":"build-up","thickMm":45},{"name":"lining","thickMm":8}],"nominalGapMm":60,"range":{"leastMm":25,"mostMm":60},"lugs":8,"screws":[{"lengthMm":20,"fromMm":32,"toMm":60}]}"""
            )!,
            ["tightening-order"] = JsonNode.Parse(
                """{"screws":[{"sMm":0,"tMm":0},{"sMm":400,"tMm":0},{"sMm":400,"tMm":400},{"sMm":0,"tMm":400}]}"""
            )!,
            ["gasket"] = JsonNode.Parse("""{"beforeMm":[8,8],"afterMm":[4,5]}""")!,
            ["bead"] = JsonNode.Parse(
                """{"bead":{"pathMm":2662.65,"notchBaseMm":10,"notchHeightMm":12,"squeezedMm":4,"landMm":14,"cartridgeMl":290,"wastePercent":10,"layMmPerMinute":600,"openMinutes":8,"unbroken":true}}"""
            )!,
            ["rust-treatment"] = JsonNode.Parse(
                """
                {"work":{"spot":{"grade":"fewPits","flakes":false,"sheetMm":1,"leftMm":0.6,"areaPercent":3,"holeMm":0,"carries":false,"structure":false,
                "bothSides":true,"pocket":true,"near":["wiring"]},"lengthMm":150,"widthMm":80,"airC":18,"relativePercent":60,
                "limits":{"treatBelowPercent":10,"cutAbovePercent":30,"puttyMostMm":10}}}
                """
            )!,
            ["patch"] = JsonNode.Parse(
                """
                {"site":{"panel":{"kind":"left","outline":[{"sMm":0,"tMm":0},{"sMm":2000,"tMm":0},{"sMm":2000,"tMm":1500},{"sMm":0,"tMm":1500}],"skinMm":1,"material":"mildSteel"},
                "members":[{"name":"Rib 1","kind":"sideRib","role":"secondary","footprint":{"shape":"spine","points":[{"sMm":1000,"tMm":0},{"sMm":1000,"tMm":1500}],"widthMm":40},"depthMm":40}],
                "damage":[{"sMm":900,"tMm":700},{"sMm":1100,"tMm":700},{"sMm":1080,"tMm":760},{"sMm":910,"tMm":745}],
                "design":{"shape":"squareRectangle","cutBackMm":20,"cornerMm":10,"join":"bondedAndRiveted","lapMm":25,"metal":"mildSteel","sheetMm":1,"upperEdge":"overTheSkin","joggled":false,
                "sides":[{"side":"bottom","cutBackMm":null,"lapMm":30,"folds":[{"to":"inside","degrees":90,"radiusMm":1,"lengthMm":20}]}]},
                "attitude":{"pitchDeg":0,"rollDeg":0},"cuts":[]}}
                """
            )!,
            ["blank"] = JsonNode.Parse(
                """
                {"design":{"base":[{"sMm":0,"tMm":0},{"sMm":200,"tMm":0},{"sMm":200,"tMm":100},{"sMm":0,"tMm":100}],
                "edges":[{"edge":0,"folds":[{"to":"inside","degrees":90,"radiusMm":1,"lengthMm":20}],"fromMm":10,"toMm":180}],"thickMm":1,"metal":"mildSteel","cornerMm":10}}
                """
            )!,
            ["weld-order"] = JsonNode.Parse(
                """{"edge":[{"sMm":0,"tMm":0},{"sMm":200,"tMm":0},{"sMm":200,"tMm":100},{"sMm":0,"tMm":100}],"sheetMm":1}"""
            )!,
            ["hole-row"] = JsonNode.Parse(
                """{"row":{"diameterMm":6,"sheetMm":0.8,"metal":"mildSteel","bothSides":true,"carries":false,"way":null},"count":2}"""
            )!,
            ["nest"] = JsonNode.Parse(
                """
                {"question":{"pieces":[{"name":"Patch","outline":[{"sMm":0,"tMm":0},{"sMm":200,"tMm":0},{"sMm":200,"tMm":100},{"sMm":0,"tMm":100}],
                "grain":false}],"sheets":[{"name":"Sheet","outline":[{"sMm":0,"tMm":0},{"sMm":500,"tMm":0},{"sMm":500,"tMm":1000},
                {"sMm":0,"tMm":1000}]}],"gapMm":5}}
                """
            )!,
            ["floor-replacement"] = JsonNode.Parse(
                """
                {"site":{"panel":{"kind":"floor","outline":[{"sMm":0,"tMm":-800},{"sMm":3000,"tMm":-800},{"sMm":3000,"tMm":800},{"sMm":0,"tMm":800}],
                "skinMm":1,"material":"mildSteel"},"members":[{"name":"Bearer 1","kind":"bearer","role":"structural","footprint":{"shape":"spine",
                "points":[{"sMm":600,"tMm":-800},{"sMm":600,"tMm":800}],"widthMm":60},"depthMm":60},{"name":"Bearer 2","kind":"bearer",
                "role":"structural","footprint":{"shape":"spine","points":[{"sMm":1500,"tMm":-800},{"sMm":1500,"tMm":800}],"widthMm":60},"depthMm":60}],
                "boards":[{"name":"Old","outline":[{"sMm":0,"tMm":-800},{"sMm":3000,"tMm":-800},{"sMm":3000,"tMm":800},{"sMm":0,"tMm":800}],
                "material":"softwoodPly","thickMm":15,"grain":"lengthways","notes":""}],"probes":[{"of":"board","at":{"sMm":900,"tMm":0},"wood":"soft",
                "moisturePercent":28,"takenAt":"2026-06-01T09:00:00Z","notes":""},{"of":"member","at":{"sMm":600,"tMm":-700},"wood":"through",
                "moisturePercent":null,"takenAt":"2026-06-01T09:00:00Z","notes":""}]},
                "replacement":{"name":"Soft board","area":[{"sMm":850,"tMm":-50},{"sMm":950,"tMm":-50},{"sMm":950,"tMm":50},{"sMm":850,"tMm":50}],
                "marginMm":150,"sheet":{"material":"birchPly","thickMm":15,"lengthMm":2440,"widthMm":1220},"state":"planned","doneOn":null,
                "findingIds":[],"notes":""}}
                """
            )!,
            ["lining-holes"] = JsonNode.Parse(
                """
                {"site":{"panel":{"kind":"roof","outline":[{"sMm":0,"tMm":-800},{"sMm":3000,"tMm":-800},{"sMm":3000,"tMm":800},{"sMm":0,"tMm":800}],
                "skinMm":0.8,"material":"mildSteel","arcRadiusAcrossMm":7000},"members":[],"openings":[{"name":"Vent","centre":{"sMm":1200,"tMm":100},
                "turnDeg":0,"fitting":FITTING,"state":"planned","asCut":null,"wallMm":null}],"findings":[]},
                "lining":{"name":"Ceiling","outline":[{"sMm":0,"tMm":-600},{"sMm":2400,"tMm":-600},{"sMm":2400,"tMm":600},{"sMm":0,"tMm":600}],
                "sheet":{"material":"birchPly","thickMm":6,"lengthMm":2440,"widthMm":1220},"grain":"lengthways","gapMm":25,"lies":"bent",
                "undersizeMm":15,"state":"planned","notes":""}}
                """.Replace("FITTING", AbriJson.Write(TypicalFittings.Of(FittingKind.RoofVent)), StringComparison.Ordinal)
            )!,
            ["board-cuts"] = JsonNode.Parse(
                """
                {"question":{"pieces":[{"name":"Shelf","lengthMm":900,"widthMm":300,"count":4,"turnsFree":false}],
                "stock":[{"name":"New sheet","lengthMm":2440,"widthMm":1220,"count":null}],"kerfMm":3.2,"car":{"lengthMm":2000,"widthMm":900}}}
                """
            )!,
            ["board-outline"] = JsonNode.Parse(
                """
                {"board":{"baseMm":1000,"corners":[{"by":"offset","firstMm":1000,"secondMm":600,"riseMm":0},
                {"by":"twoTapes","firstMm":640,"secondMm":1180,"riseMm":12}],"lastRiseMm":0,
                "notches":[{"edge":0,"fromMm":200,"toMm":260,"depthMm":40}],"scribeMm":5}}
                """
            )!,
            ["coating"] = JsonNode.Parse(
                """
                {"coating":{"coat":{"kind":"marineVarnish","name":"marine varnish","firstM2PerLitre":10,"m2PerLitre":10,"coats":2,"recoatFromHours":16,
                "recoatToHours":72,"leastC":8,"mostC":30,"canMl":750},"areaM2":2,"edgesMm":6000,"thickMm":18,"seamsMm":0,"airC":15,
                "moisturePercent":12,"leaksFound":false}}
                """
            )!,
            ["probe-grid"] = JsonNode.Parse("""{"text":"-700 0 700\n600: s14 p22 -\n900: o t 12","lengths":{"units":"mm","inchDenominator":16}}""")!,
            ["splice"] = JsonNode.Parse(
                """
                {"timber":{"lengthMm":1900,"wideMm":60,"highMm":70,"readings":[{"atMm":20,"isBad":true},{"atMm":900,"isBad":false}],"modulusMPa":8000}}
                """
            )!,
            ["daylight"] = JsonNode.Parse("""{"place":{"latitudeDeg":38.7,"longitudeDeg":-9.1},"date":"2031-05-12","timeZone":"Europe/Lisbon"}""")!,
            ["weather-expand"] = JsonNode.Parse(
                """
                {"days":[{"date":"2031-05-12","night":"dry","morning":"dry","afternoon":"showers","evening":"rain","highC":18,"lowC":8,"windMs":4}],
                "timeZone":"Europe/Lisbon","place":{"latitudeDeg":38.7,"longitudeDeg":-9.1},"issuedAt":"2031-05-12T06:00:00Z"}
                """
            )!,
            ["cut-window"] = JsonNode.Parse(
                $$"""
                {"span":{{Span}},"on":{"forecast":{{Hours}},"timeZone":"Etc/UTC","place":{"latitudeDeg":38.7,"longitudeDeg":-9.1},
                "people":[{"name":"Ada","hours":[{"day":"monday","fromHour":8,"toHour":18}]}]},
                "care":{"slow":false,"mostRainPercent":20},"now":"2031-05-12T09:00:00Z"}
                """
            )!,
            ["plan"] = JsonNode.Parse(
                $$"""
                {"question":{"now":"2031-05-12T07:40:00Z","on":{"forecast":{{Hours}},"timeZone":"Etc/UTC","place":{"latitudeDeg":38.7,"longitudeDeg":-9.1},
                "people":[{"name":"Ada","hours":[{"day":"monday","fromHour":8,"toHour":18}]}]},"care":{"slow":false,"mostRainPercent":20},
                "tasks":[{"id":"mark","title":"Mark out","job":"vent","steps":[{"title":"Mark out","minutes":{"quick":20,"likely":30,"slow":60},
                "waitHours":0,"weather":{"dry":false,"windBelowMs":null,"fromC":null,"toC":null},"people":1,"inside":false,"dryHours":0}],
                "opensShell":false,"spot":"roof","after":[],"notBefore":"2031-05-12T08:30:00Z","until":"2031-05-12T20:00:00Z","keepsWaterOut":false},
                {"id":"cut","title":"Cut and set","job":"vent","steps":[{"title":"Cut","minutes":{"quick":20,"likely":30,"slow":60},
                "waitHours":0,"weather":{"dry":true,"windBelowMs":8,"fromC":null,"toC":null},"people":1,"inside":false,"dryHours":0}],
                "opensShell":true,"spot":"roof","after":[{"id":"mark","lagHours":1}],"notBefore":null,"until":null,"keepsWaterOut":true}],
                "rules":[{"first":["mark"],"then":["cut"],"why":"Marks come before cuts.","whenSet":false}],
                "locks":[{"id":"mark","from":"2031-05-12T09:00:00Z","isRunning":false}],"days":2} }
                """
            )!,
            ["rain-risk"] = JsonNode.Parse($$"""{"span":{{Span}},"forecast":{{Hours}},"from":"2031-05-12T09:00:00Z","starts":3,"seed":1}""")!,
            ["learning"] = JsonNode.Parse("""{"firstMinutes":60,"count":4,"rate":0.85}""")!,
            ["header-size"] = JsonNode.Parse("""{"clearMm":1150,"material":"timber"}""")!,
            ["condensation"] = JsonNode.Parse(
                """{"signs":{"wetWithoutRain":true,"manyPlaces":true,"airC":20,"relativePercent":60,"surfaceC":8,"foil":"neither"}}"""
            )!,
            ["packs"] = JsonNode.Parse("""{"question":{"need":1000,"sizes":[{"holds":290,"price":8},{"holds":600,"price":14}],"aim":"cheapest"}}""")!,
            ["blade-life"] = JsonNode.Parse("""{"question":{"material":"mildSteel","thickMm":1,"lengthMm":12000}}""")!,
            ["stock-expiry"] = JsonNode.Parse(
                """{"boughtOn":"2031-01-31","expiresOn":null,"openedOn":"2031-02-01","closedMonths":1,"openDays":7}"""
            )!,
            ["axle-loads"] = JsonNode.Parse(
                """{"gear":{"frontAtMm":0,"wheelbaseMm":3000},"masses":[{"name":"Stove","kg":100,"at":{"xMm":1800,"yMm":0,"zMm":300}}]}"""
            )!,
            ["weighbridge"] = JsonNode.Parse(
                """
                {"papers":{"kerbKg":2400,"frontKg":1300},"weighed":[{"reading":{"totalKg":2700,"frontKg":1400,"rearKg":null},
                "aboard":{"frontKg":80,"rearKg":120,"leftKg":100}}]}
                """
            )!,
            ["deadening"] = JsonNode.Parse("""{"question":{"areaM2":10,"kgM2":2,"coveredPercent":100}}""")!,
            ["maintenance-due"] = JsonNode.Parse("""{"last":"2031-08-31","months":6}""")!,
            ["sol-air"] = JsonNode.Parse("""{"roof":{"airC":25,"sunDeg":60,"cloudPercent":10,"windMs":2,"shade":"dark"}}""")!,
            ["hole-cover"] = JsonNode.Parse("""{"lengthMm":400,"widthMm":400,"fits":true}""")!,
            ["furring"] = JsonNode.Parse(
                """
                {"floor":{"lengthMm":4300,"widthMm":1660,"battenMm":38,"mostSpacingMm":457,"closeFromMm":900,"closeToMm":1700,"crossMm":600}}
                """
            )!,
            ["epoxy-batch"] = JsonNode.Parse(
                """
                {"epoxy":{"airC":30,"potLifeMinutes":30,"mlPerMinute":20,"shallowTray":true}}
                """
            )!,
            ["shims"] = JsonNode.Parse(
                """
                {"readings":[{"atMm":0,"gapMm":2},{"atMm":600,"gapMm":0},{"atMm":1200,"gapMm":5}],"mayTakeOffMm":1}
                """
            )!,
            ["thermal"] = JsonNode.Parse(
                """
                {"buildUp":{"layers":[{"name":"Ply","thickMm":18,"densityKgM3":560,"lambdaWmK":0.13,"mu":90,"share":0},
                {"name":"Foam","thickMm":50,"densityKgM3":33,"lambdaWmK":0.035,"mu":100,"share":0.1}],
                "insideC":18,"insidePercent":60,"outsideC":0,"outsidePercent":80}}
                """
            )!,
            ["head-room"] = JsonNode.Parse(
                """
                {"bareMm":1950,"floorMm":70,"ceilingMm":30,"tallestMm":1830}
                """
            )!,
            ["deflection"] = JsonNode.Parse(
                """
                {"deck":{"thickMm":18,"modulusMPa":7000,"spacingMm":457,"loadN":890,"footMm":0,"limitMm":1.5}}
                """
            )!,
            ["door-bow"] = JsonNode.Parse(
                """
                {"door":{"sealMm":14,"glass":false,"dents":false,"rounds":[{"after":"asFound","pushed":null,"readings":[
                {"edge":"latch","heightMm":50,"gapMm":9},{"edge":"latch","heightMm":750,"gapMm":15},{"edge":"latch","heightMm":1450,"gapMm":9}]}]},
                "heightMm":1500}
                """
            )!,
            ["window-out"] = JsonNode.Parse(
                """
                {"window":{"held":"adhesive","glassMm":4,"keepPane":false,"stuck":false,"after":"newWindow","sameAdhesive":true,
                "marks":[{"at":{"sMm":520,"tMm":700},"acrossMm":10}]},"site":{"outline":[{"sMm":500,"tMm":400},{"sMm":1700,"tMm":400},
                {"sMm":1700,"tMm":1000},{"sMm":500,"tMm":1000}],"cuts":[],"flanges":[]}}
                """
            )!,
            ["bend"] = JsonNode.Parse("""{"metal":"mildSteel","thickMm":1.5,"radiusMm":2,"degrees":90}""")!,
            ["fasteners"] = JsonNode.Parse(
                """{"row":{"patchMm":{"widthMm":240,"heightMm":170,"cornerRadiusMm":10},"edgeMm":12,"sheetsMm":[1,1],"sealantMm":1,"duty":"seal"}}"""
            )!,
            ["paint"] = JsonNode.Parse(
                """
                {"coats":[{"name":"Primer","dryMicrometres":60,"solidsPercent":60,"by":"brush","canMl":500,"recoatFromHours":12,"recoatToHours":72,
                "leastC":10,"mostC":35}],"areaM2":1.2,"airC":18}
                """
            )!,
            ["paint-now"] = JsonNode.Parse(
                """{"now":{"airC":20,"relativePercent":50,"steelC":18,"dryHours":6,"touchDryHours":2,"leastC":10,"mostC":30}}"""
            )!,
            ["bond-thickness"] = JsonNode.Parse("""{"first":"acrylic","second":"steel","lengthMm":1092,"spanK":50}""")!,
            ["absolute-humidity"] = JsonNode.Parse("""{"airC":23,"relativePercent":50}""")!,
            ["dew-point"] = JsonNode.Parse("""{"airC":23,"relativePercent":50,"surfaceC":18}""")!,
            ["seal-gap"] = JsonNode.Parse(
                """{"readings":[{"place":{"sMm":0,"tMm":0},"gapMm":9,"sealMm":12},{"place":{"sMm":0,"tMm":500},"gapMm":11,"sealMm":12}]}"""
            )!,
            ["leak-suspects"] = LeakQuestion(),
            ["next-water-test"] = new JsonObject
            {
                ["question"] = LeakQuestion(),
                ["candidates"] = JsonNode.Parse("""[{"name":"only a","spot":0,"minutes":13,"shows":[0.9,0]}]"""),
            },
            ["leak-suspects-shell"] = new JsonObject { ["shell"] = WetShell(), ["mark"] = "Stain" },
            ["drying"] = JsonNode.Parse(
                """{"readings":[{"hours":0,"moisturePercent":30},{"hours":48,"moisturePercent":24}],"restingPercent":12,"limitPercent":16}"""
            )!,
            ["opening-verdict"] = new JsonObject { ["site"] = Site(), ["centre"] = centre.DeepClone() },
            ["opening-positions"] = new JsonObject { ["site"] = Site(), ["wishes"] = JsonNode.Parse("""[{"kind":"bayCentre","weight":1}]""") },
            ["setting-out"] = new JsonObject
            {
                ["site"] = Site(),
                ["centre"] = centre.DeepClone(),
                ["marking"] = JsonNode.Parse("""{"view":"inside","markerOffsetMm":3.175,"startHoleMm":12,"cutSize":"wasteSide"}"""),
            },
            ["openings-together"] = new JsonObject
            {
                ["site"] = new JsonObject
                {
                    ["panel"] = Site()["panel"]!.DeepClone(),
                    ["members"] = Site()["members"]!.DeepClone(),
                    ["spacingMm"] = 30,
                    ["fittings"] = new JsonArray(Together("A", "bayCentre"), Together("B", "centreLine")),
                },
            },
            ["draught"] = JsonNode.Parse(
                """{"ways":[{"name":"Vent","place":{"sMm":900,"tMm":0},"flowM3h":150,"freeAreaMm2":4000,"high":true},{"name":"Fan","place":{"sMm":3900,"tMm":0},"flowM3h":120,"freeAreaMm2":4000,"high":true}],"sources":[{"name":"Galley","place":{"sMm":1000,"tMm":300}}],"volumeM3":12,"floorAreaM2":7}"""
            )!,
            ["sill-taper"] = JsonNode.Parse("""{"lengthMm":1100,"taperDeg":0.4,"frontMm":60}""")!,
            ["inner-frame"] = new JsonObject { ["site"] = Site(), ["centre"] = centre.DeepClone() },
            ["tape-plan"] = JsonNode.Parse(
                """{"sides":[{"side":"front","lengthMm":490,"maxGapMm":8,"places":[{"alongMm":0,"skinMm":8,"frameMm":8},{"alongMm":200,"skinMm":0,"frameMm":8},{"alongMm":490,"skinMm":8,"frameMm":8}]}]}"""
            )!,
            ["opening-procedure"] = new JsonObject
            {
                ["work"] = new JsonObject
                {
                    ["name"] = "Vent",
                    ["site"] = Site(),
                    ["centre"] = centre.DeepClone(),
                    ["schools"] = JsonNode.Parse(
                        """{"ribInTheWay":"keep","cutSize":"wasteSide","ribOrder":"skinFirst","spacerRing":"foamTape","wideTrim":"wider"}"""
                    ),
                    ["product"] = Product(),
                },
            },
            ["sealant-choice"] = new JsonObject
            {
                ["joint"] = Joint(),
                ["products"] = new JsonArray(Product()),
                ["bedding"] = "butylAndLapSealant",
                ["airC"] = 14,
            },
            ["cure"] = new JsonObject
            {
                ["product"] = Product(),
                ["widthMm"] = 6,
                ["openFaces"] = 1,
                ["weather"] = JsonNode.Parse("""[{"airC":23,"relativePercent":50}]"""),
            },
            ["open-time"] = new JsonObject
            {
                ["product"] = Product(),
                ["air"] = JsonNode.Parse("""{"airC":23,"relativePercent":50}"""),
                ["layMinutes"] = 8,
            },
            ["pot-life"] = JsonNode.Parse("""{"minutesAt23C":30,"airC":33,"grams":80}""")!,
            ["hole-check"] = JsonNode.Parse(
                """
                {"frame":{"cutOut":{"widthMm":400,"heightMm":400,"cornerRadiusMm":20},"neck":{"widthMm":396,"heightMm":396,"cornerRadiusMm":18},"flange":{"widthMm":490,"heightMm":490,"cornerRadiusMm":30},"leastLapMm":25},
                 "measured":{"topWidthMm":400,"bottomWidthMm":400,"frontHeightMm":400,"rearHeightMm":400,"risingDiagonalMm":549,"fallingDiagonalMm":549},"facing":"up"}
                """
            )!,
        };
    }

    /// <summary>A cut, a wait and what closes it again.</summary>
    private const string Span = """
        {"steps":[{"title":"Cut the hole","minutes":{"quick":20,"likely":30,"slow":60},"waitHours":1,
        "weather":{"dry":true,"windBelowMs":8,"fromC":null,"toC":null},"people":1,"inside":false},
        {"title":"Set it","minutes":{"quick":20,"likely":30,"slow":60},"waitHours":2,
        "weather":{"dry":true,"windBelowMs":8,"fromC":5,"toC":35},"people":1,"inside":false}],"closes":true}
        """;

    /// <summary>A day of fine hours.</summary>
    private static readonly string Hours =
        """{"source":"table","issuedAt":"2031-05-12T06:00:00Z","from":"2031-05-12T00:00:00Z","hours":["""
        + string.Join(
            ',',
            Enumerable.Repeat("""{"airC":16,"relativePercent":60,"windMs":3,"gustMs":5,"rainMm":0.5,"rainPercent":10,"cloudPercent":40}""", 24)
        )
        + """],"days":null,"members":null}""";
}
