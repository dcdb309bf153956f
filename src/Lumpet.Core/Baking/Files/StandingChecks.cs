namespace Lumpet.Core.Baking.Files;

/// <summary>Checks what a problem says is standing: that it could be so in ovens and pans that there are.</summary>
internal static class StandingChecks
{
    // Longer than anything bakes.
    private const int LongestInside = 1440;

    /// <summary>Adds what is wrong; the problem is whole otherwise.</summary>
    public static void Check(BakeFileChecks checks, BakeProblem problem)
    {
        var ovens = problem.Ovens.ToDictionary(oven => oven.Id);
        foreach (var (index, tray) in problem.Standing.Index())
        {
            var at = BakeFileText.Place("standing.trays", index, tray.OvenId);
            if (!ovens.TryGetValue(tray.OvenId, out var oven)) checks.Add($"{at}.oven", $"there is no oven \"{tray.OvenId}\"");
            else Check(checks, at, oven, tray);
        }

        foreach (var (index, hold) in problem.StandingPans.Index())
        {
            var at = BakeFileText.Place("standing.pans", index, hold.PanId);
            if (problem.Pans.All(pan => pan.Id != hold.PanId)) checks.Add($"{at}.id", $"there is no pan \"{hold.PanId}\"");
            if (hold.ToMin <= hold.FromMin) checks.Add($"{at}.toMin", "it ends before it begins");
        }

        if (checks.HasAny) return;
        foreach (var oven in problem.Ovens) Together(checks, oven, [.. problem.Standing.Where(tray => tray.OvenId == oven.Id)]);
        foreach (var pan in problem.Pans)
            if (Most(problem.StandingPans.Where(hold => hold.PanId == pan.Id).Select(hold => (hold.FromMin, hold.ToMin, hold.Count))) is var most && most > pan.Count)
                checks.Add("standing.pans", $"{most} pans \"{pan.Id}\" are in use at once, and there are {pan.Count}");
    }

    private static void Check(BakeFileChecks checks, string at, BakeOven oven, StandingTray tray)
    {
        if (tray.EndMin <= Math.Max(0, tray.StartMin))
        {
            checks.Add($"{at}.endMin", "it ends before it begins, or before the horizon does");
            return;
        }

        if (tray.StartMin < -LongestInside) checks.Add($"{at}.startMin", $"no tray is inside for over {LongestInside / 60} hours");
        if (!oven.Openings.Any(opening => opening.FromMin <= Math.Max(0, tray.StartMin) && tray.EndMin <= opening.ToMin)) checks.Add(at, "the oven is not open all the while");
        if (tray.StartMin < 0 && oven.StartSettingC is null) checks.Add($"{at}.startMin", "it is inside when the horizon starts, so the oven is on: what is it set to?");
        if (tray.Settings.Count == 0 || tray.Settings[0].AtMin != tray.StartMin) checks.Add($"{at}.settings", "the first setting is that at which it goes in");
        foreach (var (index, setting) in tray.Settings.Index())
        {
            var place = BakeFileText.Place($"{at}.settings", index, null);
            if (setting.TempC < oven.MinC || setting.TempC > oven.MaxC) checks.Add($"{place}.tempC", $"it lies outside {oven.MinC} to {oven.MaxC} °C");
            if (index > 0 && setting.AtMin <= tray.Settings[index - 1].AtMin) checks.Add($"{place}.atMin", "it is not after the one before");
            if (setting.AtMin >= tray.EndMin) checks.Add($"{place}.atMin", "the tray is out by then");
        }
    }

    /// <summary>Trays that stand in one oven at a time find places, and it is set to one temperature for all of them.</summary>
    private static void Together(BakeFileChecks checks, BakeOven oven, StandingTray[] trays)
    {
        foreach (var (onFloor, places, of) in new[] { (false, oven.Shelves, "shelves"), (true, oven.FloorPlaces ?? 0, "places on the floor") })
            if (Most(trays.Where(tray => oven.TakesFloor(tray.OnFloor) == onFloor).Select(tray => (tray.StartMin, tray.EndMin, 1))) is var most && most > places)
                checks.Add("standing.trays", $"{most} trays stand in \"{oven.Id}\" at once, for {places} {of}");
        var set = new Dictionary<int, int>();
        foreach (var tray in trays)
            foreach (var (offset, celsius) in tray.EachMinute().Index())
                if (set.TryGetValue(tray.StartMin + offset, out var other) && other != celsius)
                {
                    checks.Add("standing.trays", $"\"{oven.Id}\" is set to {other} and to {celsius} °C at {tray.StartMin + offset}");
                    return;
                }
                else set[tray.StartMin + offset] = celsius;
    }

    private static long Most(IEnumerable<(int From, int To, int Count)> holds)
    {
        var (most, now) = (0L, 0L);
        foreach (var (_, change) in holds.SelectMany(hold => new[] { (At: hold.From, Change: hold.Count), (At: hold.To, Change: -hold.Count) }).OrderBy(one => one.At).ThenBy(one => one.Change))
            most = Math.Max(most, now += change);
        return most;
    }
}
