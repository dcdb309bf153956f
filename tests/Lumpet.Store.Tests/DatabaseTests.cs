using Dapper;
using Xunit;

namespace Lumpet.Store.Tests;

public sealed class DatabaseTests
{
    [Fact]
    public void A_new_file_is_migrated_and_an_old_one_left_as_it_is()
    {
        using var temporary = new TemporaryDatabase();
        Assert.True(temporary.IsNew);
        Assert.False(temporary.Database.Migrate());
    }

    [Fact]
    public void Confirmed_writes_are_on_disk_and_foreign_keys_hold()
    {
        using var temporary = new TemporaryDatabase();
        using var connection = temporary.Database.Open();
        Assert.Equal("wal", connection.ExecuteScalar<string>("PRAGMA journal_mode"));
        // 2 is FULL (SQLite documentation, PRAGMA synchronous).
        Assert.Equal(2, connection.ExecuteScalar<long>("PRAGMA synchronous"));
        Assert.Equal(1, connection.ExecuteScalar<long>("PRAGMA foreign_keys"));
    }

    [Fact]
    public void A_file_of_a_newer_program_is_refused_and_says_the_way_out()
    {
        using var temporary = new TemporaryDatabase();
        temporary.Database.Write(transaction =>
            transaction.Connection.Execute("INSERT INTO SchemaVersions (ScriptName, Applied) VALUES ('Lumpet.Store.Migrations.9999-later.sql', '2030-01-01')"));
        Assert.Contains("newer Lumpet", Assert.Throws<InvalidOperationException>(() => temporary.Database.Migrate()).Message, StringComparison.Ordinal);
    }

    [Fact]
    public void Work_that_fails_half_way_leaves_nothing()
    {
        using var temporary = new TemporaryDatabase();
        Assert.Throws<InvalidOperationException>(() => temporary.Database.Write<bool>(transaction =>
        {
            transaction.Connection.Execute("INSERT INTO ingredient (id, name) VALUES ('a', 'a')");
            throw new InvalidOperationException("half way");
        }));
        using var connection = temporary.Database.Open();
        Assert.Equal(0, connection.ExecuteScalar<long>("SELECT count(*) FROM ingredient"));
    }
}
