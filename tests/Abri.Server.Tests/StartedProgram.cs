using System.Diagnostics;
using System.Net.Sockets;

namespace Abri.Server.Tests;

/// <summary>The program as a process of its own, as a person starts it.</summary>
internal static class StartedProgram
{
    /// <summary>Starts it; the first line that it writes tells that it is ready, or its errors why not.</summary>
    public static Process Start(int port, string data, params string[] more) =>
        Process.Start(
            new ProcessStartInfo("dotnet", [typeof(AbriApp).Assembly.Location, "--port", $"{port}", "--data", data, .. more])
            {
                RedirectStandardOutput = true,
                RedirectStandardError = true,
            }
        )!;

    /// <summary>What it says when it cannot start.</summary>
    public static async Task<(int Code, string Says)> Refusing(int port, string data)
    {
        using Process program = Start(port, data, "--empty");
        string says = await program.StandardError.ReadToEndAsync();
        await program.WaitForExitAsync();
        return (program.ExitCode, says.Trim());
    }

    /// <summary>A port that nobody listens on.</summary>
    public static int FreePort()
    {
        using var listener = new TcpListener(System.Net.IPAddress.Loopback, 0);
        listener.Start();
        return ((System.Net.IPEndPoint)listener.LocalEndpoint).Port;
    }
}
