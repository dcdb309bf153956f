using Dapper;
using NodaTime;

namespace Lumpet.Store;

/// <summary>A request that was confirmed.</summary>
/// <param name="Sent">Digest of what was sent.</param>
/// <param name="Answer">What was answered, as JSON.</param>
public sealed record ConfirmedRequest(string Sent, string Answer);

/// <summary>
/// Remembers what was answered to requests that carry a key, in the same transaction as what they did: one that is sent
/// again after its answer was lost is answered the same and does nothing twice.
/// </summary>
public static class ConfirmedRequests
{
    // Nobody tries the same request again after a month.
    private static readonly Duration Kept = Duration.FromDays(30);

    /// <summary>What was confirmed under a key, or null.</summary>
    public static ConfirmedRequest? Find(Transaction transaction, string kind, string key) =>
        transaction.Connection.QuerySingleOrDefault<ConfirmedRequest>("SELECT sent, answer FROM confirmed_request WHERE kind = @kind AND key = @key", new { kind, key });

    /// <summary>Remembers what is confirmed under a key that is new.</summary>
    public static void Keep(Transaction transaction, string kind, string key, ConfirmedRequest confirmed, Instant now)
    {
        transaction.Connection.Execute("DELETE FROM confirmed_request WHERE at_unix < @before", new { before = (now - Kept).ToUnixTimeSeconds() });
        Rows.Insert(transaction.Connection, "confirmed_request", new { kind, key, sent = confirmed.Sent, answer = confirmed.Answer, at_unix = now.ToUnixTimeSeconds() });
    }

    /// <summary>Forgets what was confirmed under a key.</summary>
    public static void Forget(Transaction transaction, string kind, string key) =>
        transaction.Connection.Execute("DELETE FROM confirmed_request WHERE kind = @kind AND key = @key", new { kind, key });
}
