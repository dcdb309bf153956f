using Lumpet.Core.Recipes;
using Lumpet.Core.Steps;

namespace Lumpet.Server.Recipes;

/// <summary>Says of a product what its steps do: how the base is kept crisp, how it cools, how it is kept. The steps are all that is asked.</summary>
internal static class ProcessWords
{
    // A shell that bakes for so short a time is only set (common practice, no source).
    private const int ShortSetMin = 10;

    private const int ColdC = 5;

    /// <summary>"part-baked base", "base baked through", "raw base on a heated tray", "shells as they come".</summary>
    public static string Base(Product product)
    {
        var process = product.Process;
        var said = new List<string>();
        var pie = process.Steps.LastOrDefault(step => step.Bakes == BakeOf.Pie && step.IsBake);
        var shell = process.Steps.FirstOrDefault(step => step.IsBake && step.Bakes == BakeOf.Shell);
        said.Add(shell is null && product.Crust.Lining == Lining.BoughtShell ? "shells as they come"
            : shell is null ? "raw base"
            : shell.MostBakeMin <= ShortSetMin ? "base set hot and short"
            : pie is null ? "base baked through"
            : "part-baked base");
        if (process.Steps.Any(step => step.Seals)) said.Add("sealed with egg");
        if (process.Steps.Any(step => step.IsBake && step.HeatedTrayMin > 0)) said.Add("on a heated tray");
        if (process.Steps.Any(step => step.IsBake && step.Place == OvenPlace.Floor)) said.Add("on the floor of the oven");
        return string.Join(", ", said);
    }

    /// <summary>"4 h on the rack at least, better 6 h", "30 min on the rack, then 2 h cold".</summary>
    public static string Cooling(ProcessNetwork process)
    {
        Step[] waits = [.. AfterHeat(process).Where(step => step.Wait is not null)];
        if (waits.Length == 0) return "boxed as it comes";
        return string.Join(", then ", waits.Select(step =>
        {
            var (wait, place) = (step.Wait!, step.Celsius <= ColdC ? "cold" : step.Station == Station.Rack ? "on the rack" : FormattableString.Invariant($"at {step.Celsius} °C"));
            var better = wait.Aim > wait.Least ? $", better {StepWords.Length(wait.Aim)}" : string.Empty;
            return $"{StepWords.Length(wait.Least)} {place} at least{better}";
        }));
    }

    /// <summary>"kept cold until its pick-up, at most 24 h after the oven".</summary>
    public static string Keeping(Product product)
    {
        var isCold = product.Process.Steps[^1].Celsius <= ColdC;
        return $"{(isCold ? "kept cold" : "kept at room temperature")} until its pick-up, at most {StepWords.Length(product.OldestAtPickUp)}{(product.Process.Steps.Any(step => step.IsBake) ? " after the oven" : string.Empty)}";
    }

    private static IEnumerable<Step> AfterHeat(ProcessNetwork process)
    {
        var last = process.Steps.Select((step, at) => (step, at)).Where(pair => pair.step.IsBake).Select(pair => pair.at).DefaultIfEmpty(-1).Max();
        var follows = new HashSet<string>();
        if (last >= 0) follows.Add(process.Steps[last].Id);
        // A filling that cools beside the bakes is none of it.
        foreach (var step in process.Steps.Skip(last + 1))
            if (process.Links.Any(link => link.Kind != LinkKind.During && link.After == step.Id && follows.Contains(link.Before))) follows.Add(step.Id);
        return process.Steps.Skip(last + 1).Where(step => follows.Contains(step.Id));
    }
}
