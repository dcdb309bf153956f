using System.Net;
using System.Net.NetworkInformation;
using System.Net.Sockets;

namespace Lumpet.Server.Commands;

/// <summary>
/// The names under which a server lets itself be called. A page from elsewhere that makes its own name point here must not
/// talk to the bakery, so that no server answers to any name at all, wherever it listens.
/// </summary>
internal static class HostNames
{
    private static readonly string[] OfThisMachine = ["localhost", "127.0.0.1", "[::1]"];

    /// <summary>The names for a server that listens at an address: this machine's own, its addresses, and what is added.</summary>
    public static IReadOnlyList<string> Of(IPAddress bind, IReadOnlyList<string> added)
    {
        if (IPAddress.IsLoopback(bind)) return [.. OfThisMachine, .. added];
        var everywhere = bind.Equals(IPAddress.Any) || bind.Equals(IPAddress.IPv6Any);
        var name = Dns.GetHostName();
        return [.. OfThisMachine.Concat([name, $"{name}.local"]).Concat(everywhere ? Addresses() : [Written(bind)]).Concat(added).Distinct()];
    }

    private static IEnumerable<string> Addresses() =>
        from card in NetworkInterface.GetAllNetworkInterfaces()
        where card.OperationalStatus == OperationalStatus.Up
        from address in card.GetIPProperties().UnicastAddresses
        select Written(address.Address);

    // Without the number of the network card, which no browser sends.
    private static string Written(IPAddress address) =>
        address.AddressFamily == AddressFamily.InterNetworkV6 ? $"[{new IPAddress(address.GetAddressBytes())}]" : address.ToString();
}
