using Microsoft.EntityFrameworkCore;
using Microsoft.EntityFrameworkCore.Design;
using Microsoft.EntityFrameworkCore.Storage.ValueConversion;

namespace Ochema.Data;

/// <summary>The one database: films, rigs, versions, logs, shelf, paired phones.</summary>
public sealed class OchemaContext(DbContextOptions<OchemaContext> options) : DbContext(options)
{
    public DbSet<FilmRecord> Films => Set<FilmRecord>();
    public DbSet<RigRecord> Rigs => Set<RigRecord>();
    public DbSet<VersionRecord> Versions => Set<VersionRecord>();
    public DbSet<LogRecord> Log => Set<LogRecord>();
    public DbSet<PhoneRecord> Phones => Set<PhoneRecord>();
    public DbSet<ShelfRecord> Shelf => Set<ShelfRecord>();

    /// <summary>The file keeps times without their zone; all of them are UTC.</summary>
    protected override void ConfigureConventions(ModelConfigurationBuilder configurationBuilder) =>
        configurationBuilder.Properties<DateTime>().HaveConversion<Utc>();

    private sealed class Utc() : ValueConverter<DateTime, DateTime>(v => v.ToUniversalTime(), v => DateTime.SpecifyKind(v, DateTimeKind.Utc));

    protected override void OnModelCreating(ModelBuilder modelBuilder)
    {
        modelBuilder.Entity<FilmRecord>(e => e.Property(f => f.Name).HasMaxLength(120));
        modelBuilder.Entity<RigRecord>(e =>
        {
            e.Property(r => r.Version).IsConcurrencyToken();
            e.HasOne(r => r.Film).WithMany(f => f.Rigs).HasForeignKey(r => r.FilmId).OnDelete(DeleteBehavior.Cascade);
            e.HasIndex(r => new { r.FilmId, r.DeletedAt });
        });
        modelBuilder.Entity<ShelfRecord>(e =>
        {
            e.HasKey(r => new { r.List, r.Id });
            e.Property(r => r.Version).IsConcurrencyToken();
        });
        modelBuilder.Entity<LogRecord>(e =>
        {
            e.HasOne<RigRecord>().WithMany().HasForeignKey(l => l.RigId).OnDelete(DeleteBehavior.Cascade);
            e.HasIndex(l => new { l.RigId, l.Key }).IsUnique();
        });
        modelBuilder.Entity<PhoneRecord>(e =>
        {
            e.HasIndex(p => p.Token).IsUnique();
            e.HasMany(p => p.Rigs).WithOne().HasForeignKey(r => r.PhoneId).OnDelete(DeleteBehavior.Cascade);
        });
        modelBuilder.Entity<PhoneRigRecord>(e =>
        {
            e.HasKey(r => new { r.PhoneId, r.RigId });
            // A rig that is gone is nobody's any more.
            e.HasOne<RigRecord>().WithMany().HasForeignKey(r => r.RigId).OnDelete(DeleteBehavior.Cascade);
        });
        modelBuilder.Entity<VersionRecord>(e =>
        {
            e.HasOne<RigRecord>().WithMany(r => r.Versions).HasForeignKey(v => v.RigId).OnDelete(DeleteBehavior.Cascade);
            e.HasIndex(v => new { v.RigId, v.Number }).IsUnique();
        });
    }
}

/// <summary>For the migrations tool only.</summary>
public sealed class OchemaContextFactory : IDesignTimeDbContextFactory<OchemaContext>
{
    public OchemaContext CreateDbContext(string[] args) => new(new DbContextOptionsBuilder<OchemaContext>()
        .UseSqlite("Data Source=design.db").Options);
}
