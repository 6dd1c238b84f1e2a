using System.CommandLine;
using System.Net.Sockets;
using Abri.Server;
using Abri.Storage;
using Microsoft.AspNetCore.Connections;
using Microsoft.Data.Sqlite;

var port = new Option<int>("--port") { Description = "Port to listen on, on this machine only.", DefaultValueFactory = _ => 5080 };
port.Validators.Add(result =>
{
    if (result.GetValue(port) is < 1 or > 65535)
        result.AddError("--port takes a whole number from 1 to 65535.");
});
var data = new Option<string>("--data")
{
    Description = "Folder that holds everything you enter (default: ABRI_DATA, or ./data).",
    DefaultValueFactory = _ => Environment.GetEnvironmentVariable("ABRI_DATA") ?? "data",
};
var empty = new Option<bool>("--empty") { Description = "Start a new data folder without the demo vehicle." };
var now = new Option<DateTimeOffset?>("--now") { Description = "Set the program's clock, for demo and tests: 2031-05-12T07:40." };
var command = new RootCommand("Abri: plan, mark out, cut and check openings in the shell of a van, bus or trailer.") { port, data, empty, now };

command.SetAction(
    async (parsed, cancelled) =>
    {
        try
        {
            using var folder = DataFolder.Claim(parsed.GetValue(data)!);
            await using WebApplication app = AbriApp.Build(
                new AppOptions(parsed.GetValue(port), folder, !parsed.GetValue(empty), parsed.GetValue(now))
            );
            await app.StartAsync(cancelled);
            Console.WriteLine($"Abri is ready on {app.Urls.First()}  (data in {folder.Path}; Ctrl-C ends it)");
            await app.WaitForShutdownAsync(cancelled);
            return 0;
        }
        catch (Exception e) when (e is StorageException or SqliteException or IOException or UnauthorizedAccessException or SocketException)
        {
            Console.Error.WriteLine(
                e switch
                {
                    SqliteException sqlite => DatabaseTrouble.Of(sqlite).Message,
                    IOException { InnerException: AddressInUseException } =>
                        $"Port {parsed.GetValue(port)} is in use by another program, perhaps another Abri. Stop that one, or choose "
                            + "another port with --port.",
                    SocketException => $"Port {parsed.GetValue(port)} cannot be opened by this user. Choose one above 1023 with --port.",
                    IOException disk when DiskTrouble.Of(disk) is var (_, _, message) => message,
                    _ => e.Message,
                }
            );
            return 1;
        }
    }
);
return await command.Parse(args).InvokeAsync();
