using System.Diagnostics;
using System.Runtime.Versioning;
using Xunit;

namespace Lumpet.Server.Tests.House;

/// <summary>The one command on machines that lack something: a folder of programs stands for the machine.</summary>
[SupportedOSPlatform("linux")]
public sealed class ScriptTests : IDisposable
{
    private readonly string folder = Directory.CreateTempSubdirectory("lumpet-script-").FullName;

    public ScriptTests()
    {
        foreach (var program in (string[])["bash", "dirname", "mkdir", "grep", "tr", "cat", "env", "mktemp", "rm", "tail"]) Link(program);
    }

    public void Dispose() => Directory.Delete(folder, recursive: true);

    private void Link(string program)
    {
        var path = Environment.GetEnvironmentVariable("PATH")!.Split(':').Select(part => Path.Combine(part, program)).First(File.Exists);
        File.CreateSymbolicLink(Path.Combine(folder, program), path);
    }

    private void Pretend(string program, string script)
    {
        var path = Path.Combine(folder, program);
        File.WriteAllText(path, $"#!/usr/bin/env bash\n{script}\n");
        File.SetUnixFileMode(path, UnixFileMode.UserRead | UnixFileMode.UserWrite | UnixFileMode.UserExecute);
    }

    private (int Code, string Error) Lumpet(string command) => Script("lumpet", command);

    private (int Code, string Error) Script(string name, params string[] args)
    {
        var root = new DirectoryInfo(AppContext.BaseDirectory);
        while (!File.Exists(Path.Combine(root!.FullName, "Lumpet.slnx"))) root = root.Parent;
        var start = new ProcessStartInfo(Path.Combine(folder, "bash"), [Path.Combine(root.FullName, name), .. args])
        {
            RedirectStandardError = true,
            RedirectStandardOutput = true,
            WorkingDirectory = folder,
        };
        start.Environment["PATH"] = folder;
        start.Environment["HOME"] = folder;
        using var process = Process.Start(start)!;
        var said = process.StandardOutput.ReadToEndAsync();
        var error = process.StandardError.ReadToEnd();
        process.WaitForExit();
        return (process.ExitCode, error + said.GetAwaiter().GetResult());
    }

    [Fact]
    public void Without_dotnet_it_says_what_to_install()
    {
        var (code, error) = Lumpet("demo");
        Assert.Equal(2, code);
        Assert.Contains("Install it (package dotnet-sdk-10.0)", error, StringComparison.Ordinal);
    }

    [Fact]
    public void With_an_old_dotnet_it_says_which_is_there()
    {
        Pretend("dotnet", "echo '8.0.100 [somewhere]'");
        var (code, error) = Lumpet("demo");
        Assert.Equal(2, code);
        Assert.Contains("here is only: 8.0.100", error, StringComparison.Ordinal);
    }

    [Fact]
    public void Without_node_it_says_what_to_install()
    {
        Pretend("dotnet", "echo '10.0.100 [somewhere]'");
        var (code, error) = Lumpet("demo");
        Assert.Equal(2, code);
        Assert.Contains("there is no 'node' here", error, StringComparison.Ordinal);
    }

    [Fact]
    public void An_unknown_command_is_said()
    {
        var (code, error) = Lumpet("bake");
        Assert.Equal(2, code);
        Assert.Contains("There is no 'bake'", error, StringComparison.Ordinal);
    }

    [Fact]
    public void Without_Chromium_and_without_a_way_to_it_the_tests_say_what_to_install()
    {
        Pretend("apt-get", "echo 'E: nothing can be fetched'; exit 100");
        var (code, said) = Script("tests/need.sh", "chromium");
        Assert.Equal(1, code);
        Assert.Contains("E: nothing can be fetched", said, StringComparison.Ordinal);
        Assert.Contains("Install Debian's package chromium and try again.", said, StringComparison.Ordinal);
    }

    [Fact]
    public void With_Chromium_there_is_nothing_to_say()
    {
        Pretend("chromium", "true");
        Assert.Equal((0, string.Empty), Script("tests/need.sh", "chromium"));
    }
}
