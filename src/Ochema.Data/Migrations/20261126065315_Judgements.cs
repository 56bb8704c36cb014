using Microsoft.EntityFrameworkCore.Migrations;

#nullable disable

namespace Ochema.Data.Migrations
{
    /// <inheritdoc />
    public partial class Judgements : Migration
    {
        /// <inheritdoc />
        protected override void Up(MigrationBuilder migrationBuilder)
        {
            migrationBuilder.AddColumn<string>(
                name: "Judged",
                table: "Versions",
                type: "TEXT",
                nullable: true);

            migrationBuilder.AddColumn<double>(
                name: "LimitSpeed",
                table: "Versions",
                type: "REAL",
                nullable: true);

            migrationBuilder.AddColumn<double>(
                name: "Mass",
                table: "Versions",
                type: "REAL",
                nullable: true);

            migrationBuilder.AddColumn<string>(
                name: "Word",
                table: "Versions",
                type: "TEXT",
                nullable: true);

            migrationBuilder.AddColumn<string>(
                name: "Card",
                table: "Rigs",
                type: "TEXT",
                nullable: true);

            migrationBuilder.AddColumn<string>(
                name: "Judged",
                table: "Rigs",
                type: "TEXT",
                nullable: true);
        }

        /// <inheritdoc />
        protected override void Down(MigrationBuilder migrationBuilder)
        {
            migrationBuilder.DropColumn(
                name: "Judged",
                table: "Versions");

            migrationBuilder.DropColumn(
                name: "LimitSpeed",
                table: "Versions");

            migrationBuilder.DropColumn(
                name: "Mass",
                table: "Versions");

            migrationBuilder.DropColumn(
                name: "Word",
                table: "Versions");

            migrationBuilder.DropColumn(
                name: "Card",
                table: "Rigs");

            migrationBuilder.DropColumn(
                name: "Judged",
                table: "Rigs");
        }
    }
}
