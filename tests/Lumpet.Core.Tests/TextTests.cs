using System.Text.Json;
using CsCheck;
using Xunit;

namespace Lumpet.Core.Tests;

/// <summary>What a text shows and hides, and whether all of it is there.</summary>
public sealed class TextTests
{
    [Theory]
    [InlineData("Plum", true)]
    [InlineData("7", true)]
    [InlineData("!", true)]
    [InlineData("\u67d1\u6a58", true)]
    [InlineData("\ud83e\udd67", true)]
    [InlineData("", false)]
    [InlineData(" \t", false)]
    [InlineData("\u00a0\u3000", false)]
    [InlineData("\u200b\u200d\u2060", false)]
    [InlineData("\u3164\u115f\u2800\uffa0", false)]
    [InlineData("\u0301", false)]
    public void A_name_shows_something(string text, bool shows) => Assert.Equal(shows, VisibleText.Shows(text));

    [Theory]
    [InlineData("Plum, free-form", false)]
    [InlineData("cr\u00e8me br\u00fbl\u00e9e, 26 \u00d7 3", false)]
    [InlineData("\u0645\u06cc\u200c\u062e\u0648\u0627\u0647\u0645", false)]
    [InlineData("\ud83d\udc69\u200d\ud83c\udf73", false)]
    [InlineData("a\u200bb", true)]
    [InlineData("a\u202eb", true)]
    [InlineData("a\u2066b", true)]
    [InlineData("soft\u00adly", true)]
    [InlineData("a\u2028b", true)]
    [InlineData("a\nb", true)]
    [InlineData("a\u0000", true)]
    public void A_name_hides_nothing(string text, bool hides) => Assert.Equal(hides, VisibleText.Hides(text));

    [Fact]
    public void Half_a_character_is_found_wherever_it_stands()
    {
        Assert.True(LoneSurrogates.AreIn("a\ud83e"));
        Assert.True(LoneSurrogates.AreIn("\udd67a"));
        Assert.True(LoneSurrogates.AreIn("\ud83e\ud83e\udd67"));
        Assert.False(LoneSurrogates.AreIn("a\ud83e\udd67b"));
    }

    [Theory]
    [InlineData("\"\\ud83e\\udd67\"", false)]
    [InlineData("\"\\uD83E\\uDD67 \\u00e9 \\n \\\\ud800\"", false)]
    [InlineData("\"\\\\\\ud800\"", true)]
    [InlineData("\"\\ud800\"", true)]
    [InlineData("\"\\ud83e\\ud83e\\udd67\"", true)]
    [InlineData("\"\\udd67\"", true)]
    [InlineData("\"\\ud83e \\udd67\"", true)]
    [InlineData("\"\\ud8", false)]
    [InlineData("{\"a\\ud800\":1}", true)]
    public void Half_a_character_is_found_in_JSON_escaped_or_not(string json, bool there) => Assert.Equal(there, LoneSurrogates.AreInJson(json));

    [Fact]
    public void What_the_framework_cannot_read_of_a_JSON_text_is_what_is_found() =>
        // The framework's own reader is the judge.
        Gen.Select(Gen.OneOfConst("\\ud83e", "\\udd67", "\\u0041", "\\\\", "a", "\\n", "\\\"").Array[0, 6], parts => $"\"{string.Concat(parts)}\"").Sample(json =>
        {
            using var document = JsonDocument.Parse(json);
            var readable = true;
            try
            {
                _ = document.RootElement.GetString();
            }
            catch (InvalidOperationException)
            {
                readable = false;
            }

            Assert.Equal(!readable, LoneSurrogates.AreInJson(json));
        });
}
