using Lumpet.Core.Baking;

namespace Lumpet.PlanChecking;

/// <summary>What stands in the ovens for other plans.</summary>
internal sealed partial class BakePlanCheck
{
    /// <summary>While a tray of another plan stands in an oven, that is set as it is to be, and at its temperature when it goes in.</summary>
    private void Standing(BakeOven oven)
    {
        var simulation = simulations[oven.Id];
        foreach (var tray in problem.Standing.Where(tray => tray.OvenId == oven.Id))
        {
            if (tray.StartMin >= 0 && simulation.Setting(tray.StartMin) is { } set && simulation.Chamber(tray.StartMin) != set)
                Fault("standing", oven.Id, $"what goes in at {tray.StartMin} finds {simulation.Chamber(tray.StartMin)} °C where {set} °C is set");
            for (var minute = Math.Max(0, tray.StartMin); minute < tray.EndMin; minute++)
            {
                var wanted = tray.Settings.Last(setting => setting.AtMin <= minute).TempC;
                if (simulation.Setting(minute) == wanted) continue;
                Fault("standing", oven.Id, $"what stands in it at {minute} was settled for {wanted} °C, and it is {(simulation.Setting(minute) is { } other ? $"set to {other} °C" : "off")}");
                break;
            }
        }
    }

    private bool StandsAt(string ovenId, int celsius, int from, int until) => problem.Standing.Any(tray =>
        tray.OvenId == ovenId && Enumerable.Range(0, tray.Settings.Count).Any(index => tray.Settings[index].TempC == celsius
            && tray.Settings[index].AtMin < until && (index + 1 < tray.Settings.Count ? tray.Settings[index + 1].AtMin : tray.EndMin) > from));

    private IEnumerable<BakedStage> StandingIn(BakeOven oven, bool floor) => problem.Standing
        .Where(tray => tray.OvenId == oven.Id && (oven.FloorPlaces is null ? !floor : tray.OnFloor == floor))
        .Select(tray => new BakedStage(tray.OvenId, tray.StartMin, tray.EndMin));
}
