using System.Globalization;
using Dapper;
using Lumpet.Core.Costing;
using Microsoft.Data.Sqlite;

namespace Lumpet.Store.Prices;

/// <summary>Keeps the ways in which pies are sold.</summary>
public static class ChannelStore
{
    /// <summary>The channels in their order; those to begin with while nobody has said any.</summary>
    public static IReadOnlyList<Channel> All(SqliteConnection connection)
    {
        Channel[] stated =
        [
            .. connection.Query<ChannelRow>("SELECT id, name, food_cost_share AS foodCostShare, tax_share AS taxShare, shows_tax AS showsTax, fee_share AS feeShare, step, under FROM channel ORDER BY position")
                .Select(row => new Channel(row.Id, row.Name, Number(row.FoodCostShare), Number(row.TaxShare), row.ShowsTax == 1, Number(row.FeeShare), Number(row.Step), Number(row.Under))),
        ];
        return stated.Length > 0 ? stated : Channel.Usual;
    }

    /// <summary>The version of all of them together.</summary>
    public static long Version(SqliteConnection connection) => connection.QuerySingle<long>("SELECT row_version FROM channels_stated");

    /// <summary>States them anew, where they still are as they were read.</summary>
    /// <param name="transaction">The change it is part of.</param>
    /// <param name="channels">All of them, in order.</param>
    /// <param name="version">The version they were read with.</param>
    public static ChangeOutcome State(Transaction transaction, IReadOnlyList<Channel> channels, long version)
    {
        var connection = transaction.Connection;
        if (connection.Execute("UPDATE channels_stated SET row_version = row_version + 1 WHERE row_version = @version", new { version }) == 0) return ChangeOutcome.Conflict;
        connection.Execute("DELETE FROM channel");
        foreach (var (channel, position) in channels.Select((channel, position) => (channel, position)))
            Rows.Insert(connection, "channel", new
            {
                id = channel.Id,
                position,
                name = channel.Name,
                food_cost_share = Text(channel.FoodCostShare),
                tax_share = Text(channel.TaxShare),
                shows_tax = channel.ShowsTax ? 1 : 0,
                fee_share = Text(channel.FeeShare),
                step = Text(channel.Step),
                under = Text(channel.Under),
            });
        return ChangeOutcome.Done;
    }

    private static decimal Number(string text) => decimal.Parse(text, CultureInfo.InvariantCulture);

    private static string Text(decimal number) => number.ToString(CultureInfo.InvariantCulture);

    private sealed record ChannelRow(string Id, string Name, string FoodCostShare, string TaxShare, long ShowsTax, string FeeShare, string Step, string Under);
}
