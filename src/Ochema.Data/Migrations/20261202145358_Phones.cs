using System;
using Microsoft.EntityFrameworkCore.Migrations;

#nullable disable

namespace Ochema.Data.Migrations
{
    /// <inheritdoc />
    public partial class Phones : Migration
    {
        /// <inheritdoc />
        protected override void Up(MigrationBuilder migrationBuilder)
        {
            migrationBuilder.CreateTable(
                name: "Phones",
                columns: table => new
                {
                    Id = table.Column<string>(type: "TEXT", nullable: false),
                    Name = table.Column<string>(type: "TEXT", nullable: false),
                    Token = table.Column<string>(type: "TEXT", nullable: false),
                    PairedAt = table.Column<DateTime>(type: "TEXT", nullable: false),
                    SeenAt = table.Column<DateTime>(type: "TEXT", nullable: true)
                },
                constraints: table =>
                {
                    table.PrimaryKey("PK_Phones", x => x.Id);
                });

            migrationBuilder.CreateTable(
                name: "PhoneRigRecord",
                columns: table => new
                {
                    PhoneId = table.Column<string>(type: "TEXT", nullable: false),
                    RigId = table.Column<string>(type: "TEXT", nullable: false)
                },
                constraints: table =>
                {
                    table.PrimaryKey("PK_PhoneRigRecord", x => new { x.PhoneId, x.RigId });
                    table.ForeignKey(
                        name: "FK_PhoneRigRecord_Phones_PhoneId",
                        column: x => x.PhoneId,
                        principalTable: "Phones",
                        principalColumn: "Id",
                        onDelete: ReferentialAction.Cascade);
                    table.ForeignKey(
                        name: "FK_PhoneRigRecord_Rigs_RigId",
                        column: x => x.RigId,
                        principalTable: "Rigs",
                        principalColumn: "Id",
                        onDelete: ReferentialAction.Cascade);
                });

            migrationBuilder.CreateIndex(
                name: "IX_PhoneRigRecord_RigId",
                table: "PhoneRigRecord",
                column: "RigId");

            migrationBuilder.CreateIndex(
                name: "IX_Phones_Token",
                table: "Phones",
                column: "Token",
                unique: true);
        }

        /// <inheritdoc />
        protected override void Down(MigrationBuilder migrationBuilder)
        {
            migrationBuilder.DropTable(
                name: "PhoneRigRecord");

            migrationBuilder.DropTable(
                name: "Phones");
        }
    }
}
