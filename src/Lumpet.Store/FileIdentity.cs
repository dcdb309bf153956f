using System.Buffers.Binary;
using System.Runtime.InteropServices;

namespace Lumpet.Store;

/// <summary>Which file a path leads to, whatever it is called there: two names of one file have one identity.</summary>
/// <param name="Device">The file system it lies on.</param>
/// <param name="Inode">Its number there.</param>
/// <param name="IsRegular">Whether it is a file, and no folder, device or pipe.</param>
public sealed partial record FileIdentity(ulong Device, ulong Inode, bool IsRegular)
{
    // statx(2): the layout of its answer is the kernel's and the same on every architecture (linux/stat.h).
    private const int AtCurrentFolder = -100;
    private const uint BasicStats = 0x7ff;
    private const int AnswerBytes = 256;
    private const int ModeAt = 28;
    private const int InodeAt = 32;
    private const int DeviceAt = 136;
    private const int KindMask = 0xF000;
    private const int RegularFile = 0x8000;

    /// <summary>The file at a path, links followed; null where there is none, or none that can be looked at.</summary>
    public static FileIdentity? Of(string path)
    {
        var answer = new byte[AnswerBytes];
        if (Statx(AtCurrentFolder, path, 0, BasicStats, answer) != 0) return null;
        return new FileIdentity(
            BinaryPrimitives.ReadUInt64LittleEndian(answer.AsSpan(DeviceAt)),
            BinaryPrimitives.ReadUInt64LittleEndian(answer.AsSpan(InodeAt)),
            (BinaryPrimitives.ReadUInt16LittleEndian(answer.AsSpan(ModeAt)) & KindMask) == RegularFile);
    }

    /// <summary>Whether two paths lead to one file.</summary>
    public static bool IsSame(string one, string other) => Of(one) is { } identity && identity == Of(other);

    /// <summary>The path that a chain of links ends at; the path itself where it is no link.</summary>
    /// <exception cref="IOException">The links lead round in a circle.</exception>
    public static string RealPath(string path)
    {
        var full = Path.GetFullPath(path);
        return new FileInfo(full).LinkTarget is null ? full : File.ResolveLinkTarget(full, returnFinalTarget: true)!.FullName;
    }

    [LibraryImport("libc", EntryPoint = "statx", StringMarshalling = StringMarshalling.Utf8)]
    private static partial int Statx(int folder, string path, int flags, uint mask, [Out] byte[] answer);
}
