using Lumpet.Server;
using Lumpet.Server.Commands;

// The build's OpenAPI generator and the tests start the host itself, with host settings where a person writes a command.
if (args.Length > 0 && args[0].StartsWith("--", StringComparison.Ordinal) && args[0].Contains('=', StringComparison.Ordinal))
{
    await LumpetApplication.Build(args).RunAsync();
    return 0;
}

return await CommandLine.RunAsync(args);

/// <summary>The program; named so that tests can start its host.</summary>
public partial class Program;
