using System.Security.Cryptography;
using System.Text.Json;
using Lumpet.Store;
using Microsoft.AspNetCore.Http.HttpResults;
using NodaTime;

namespace Lumpet.Server.Faults;

/// <summary>
/// An addition that carries a key (Idempotency-Key), so that it is done once however often it is sent: a double click, or a
/// second try after an answer that never came. Another body under the same key is something else, and is refused.
/// </summary>
internal sealed class OnceOnly
{
    private const int LongestKey = 100;

    private static readonly JsonSerializerOptions Format = new(JsonSerializerDefaults.Web);

    private readonly string kind;
    private readonly string? key;
    private readonly string sent;

    private OnceOnly(string kind, string? key, string sent) => (this.kind, this.key, this.sent) = (kind, key, sent);

    /// <summary>The addition of a request.</summary>
    /// <param name="kind">What is added; keys of different kinds never meet.</param>
    /// <param name="key">The key; null and empty are none.</param>
    /// <param name="request">What was sent.</param>
    public static OnceOnly Of<T>(string kind, string? key, T request) => new(
        kind, string.IsNullOrWhiteSpace(key) ? null : key.Trim(), Convert.ToHexStringLower(SHA256.HashData(JsonSerializer.SerializeToUtf8Bytes(request, Format))));

    /// <summary>What was answered before; or why the key is refused; or neither, where all is yet to do.</summary>
    public (T? Before, ValidationProblem? Refused) Answered<T>(Transaction transaction)
        where T : class
    {
        if (key is null) return (null, null);
        if (key.Length > LongestKey) return (null, FieldProblems.Of(("Idempotency-Key", $"A key takes up to {LongestKey} characters.")));
        if (ConfirmedRequests.Find(transaction, kind, key) is not { } confirmed) return (null, null);
        return confirmed.Sent == sent
            ? (JsonSerializer.Deserialize<T>(confirmed.Answer, Format), null)
            : (null, FieldProblems.Of(("Idempotency-Key", "Something else was sent under this key before, and taken. Send this under a key of its own.")));
    }

    /// <summary>Remembers the answer; part of the transaction that did what was asked.</summary>
    public void Remember<T>(Transaction transaction, T answer, Instant now)
    {
        if (key is not null) ConfirmedRequests.Keep(transaction, kind, key, new ConfirmedRequest(sent, JsonSerializer.Serialize(answer, Format)), now);
    }

    /// <summary>Forgets an answer that did not come true: the same may be sent again under its key.</summary>
    public void Forget(Transaction transaction)
    {
        if (key is not null) ConfirmedRequests.Forget(transaction, kind, key);
    }
}
