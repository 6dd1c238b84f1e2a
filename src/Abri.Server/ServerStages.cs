using Abri.Server.Bench;
using Abri.Server.Days;
using Abri.Server.Floor;
using Abri.Server.Load;
using Abri.Server.Logbook;
using Abri.Server.Metal;
using Abri.Server.Openings;
using Abri.Server.Sealing;
using Abri.Server.Shell;
using Abri.Server.Stores;
using Abri.Server.Water;
using Abri.Storage.Bench;
using Abri.Storage.Days;
using Abri.Storage.Floor;
using Abri.Storage.Load;
using Abri.Storage.Logbook;
using Abri.Storage.Metal;
using Abri.Storage.Openings;
using Abri.Storage.Sealing;
using Abri.Storage.Shell;
using Abri.Storage.Stores;
using Abri.Storage.Water;

namespace Abri.Server;

/// <summary>A stage of the work as the server has it.</summary>
/// <param name="Add">Adds its stores.</param>
/// <param name="Map">Maps its addresses.</param>
internal sealed record ServerStage(Action<IServiceCollection> Add, Action<WebApplication> Map);

/// <summary>All stages: a new one registers itself here, and nowhere else on the server.</summary>
internal static class ServerStages
{
    public static IReadOnlyList<ServerStage> All { get; } =
    [
        new(
            services =>
                services
                    .AddSingleton<VehicleStore>()
                    .AddSingleton<PanelStore>()
                    .AddSingleton<MemberStore>()
                    .AddSingleton<ZoneStore>()
                    .AddSingleton<FindingStore>()
                    .AddSingleton<PhotoStore>(),
            app =>
            {
                app.MapShell();
                app.MapRecordFiles();
            }
        ),
        new(
            services =>
                services
                    .AddSingleton<SuspectStore>()
                    .AddSingleton<ObservationStore>()
                    .AddSingleton<SealReadingStore>()
                    .AddSingleton<DrainStore>()
                    .AddSingleton<CoveringStore>()
                    .AddSingleton<WaterStores>()
                    .AddSingleton<LeakPriorStore>(),
            WaterEndpoints.MapWater
        ),
        new(services => services.AddSingleton<FittingStore>().AddSingleton<OpeningStore>(), OpeningEndpoints.MapOpenings),
        new(services => services.AddSingleton<RepairStore>().AddSingleton<SheetStore>(), MetalEndpoints.MapMetal),
        new(
            services =>
                services
                    .AddSingleton<ProbeStore>()
                    .AddSingleton<BoardStore>()
                    .AddSingleton<ReplacementStore>()
                    .AddSingleton<LiningStore>()
                    .AddSingleton<StockBoardStore>()
                    .AddSingleton<FloorStores>(),
            FloorEndpoints.MapFloor
        ),
        new(
            services =>
                services
                    .AddSingleton<ForecastStore>()
                    .AddSingleton<PersonStore>()
                    .AddSingleton<OwnTaskStore>()
                    .AddSingleton<PlanStore>()
                    .AddSingleton<DayStores>(),
            DaysEndpoints.MapDays
        ),
        new(services => services.AddSingleton<StepDoneStore>().AddSingleton<LessonStore>(), BenchEndpoints.MapBench),
        new(
            services => services.AddSingleton<UpkeepDoneStore>().AddSingleton<OwnUpkeepStore>().AddSingleton<UpkeepStores>(),
            LogbookEndpoints.MapLogbook
        ),
        new(services => services.AddSingleton<LoadItemStore>().AddSingleton<WeighingStore>().AddSingleton<LoadStores>(), LoadEndpoints.MapLoad),
        new(services => services.AddSingleton<StockStore>().AddSingleton<BorrowedToolStore>(), StoresEndpoints.MapStores),
        new(services => services.AddSingleton<ProductStore>().AddSingleton<JointStore>(), SealingEndpoints.MapSealing),
    ];
}
