namespace Lumpet.Core.Costing;

/// <summary>A channel as someone states it; shares in per cent.</summary>
/// <param name="Name">What it is called.</param>
/// <param name="FoodCostPercent">What ingredients are to take of the price before tax, 1 to 99.</param>
/// <param name="TaxPercent">Tax on top, 0 to 100.</param>
/// <param name="ShowsTax">Whether the price that is shown holds it.</param>
/// <param name="FeePercent">What whoever sells it keeps, 0 to 90.</param>
/// <param name="Step">Steps of prices, 0.001 to 1000.</param>
/// <param name="Under">By how much below a step, 0 to below a step.</param>
public sealed record ChannelDraft(string? Name, decimal? FoodCostPercent, decimal? TaxPercent, bool ShowsTax, decimal? FeePercent, decimal? Step, decimal? Under);

/// <summary>Reads channels.</summary>
public static class ChannelReader
{
    /// <summary>The most channels.</summary>
    public const int MostChannels = 12;

    /// <summary>Reads them.</summary>
    /// <param name="drafts">What is stated, in order.</param>
    /// <returns>The channels, or what is wrong: "channels[1].step".</returns>
    public static (IReadOnlyList<Channel> Channels, IReadOnlyList<FieldFault> Faults) Read(IReadOnlyList<ChannelDraft?>? drafts)
    {
        var checks = new FieldChecks();
        var channels = new List<Channel>();
        foreach (var (draft, at) in checks.List("channels", drafts, 1, MostChannels, "channels").Select((draft, at) => (draft, at)))
        {
            string Field(string name) => $"channels[{at}].{name}";
            decimal Number(string name, decimal? value, decimal least, decimal most)
            {
                if (value is { } number && number >= least && number <= most) return number;
                checks.Add(Field(name), FormattableString.Invariant($"This {(value is null ? "is missing" : "does not fit")}: {least} to {most}."));
                return least;
            }

            var name = checks.Name(Field("name"), draft.Name, "A channel");
            var step = Number("step", draft.Step, 0.001m, 1000);
            var under = Number("under", draft.Under ?? 0, 0, 1000);
            if (under >= step && step > 0) checks.Add(Field("under"), "A price lies below its step by less than a step.");
            if (channels.Any(other => other.Name.Equals(name, StringComparison.OrdinalIgnoreCase))) checks.Add(Field("name"), "Two channels are called the same.");
            channels.Add(new Channel(
                ShortName.For(name, [.. channels.Select(channel => channel.Id)]),
                name,
                Number("foodCostPercent", draft.FoodCostPercent, 1, 99) / 100,
                Number("taxPercent", draft.TaxPercent ?? 0, 0, 100) / 100,
                draft.ShowsTax,
                Number("feePercent", draft.FeePercent ?? 0, 0, 90) / 100,
                step,
                under));
        }

        return checks.Faults.Count > 0 ? ([], checks.Faults) : (channels, []);
    }
}
