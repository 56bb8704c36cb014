using System.Text.Json.Nodes;
using Ochema.Core.Hosts;
using Ochema.Core.Kinds.Bases;
using Ochema.Core.Kinds.Braces;
using Ochema.Core.Kinds.Heads;
using Ochema.Core.Kinds.Holds;
using Ochema.Core.Kinds.Reaches;
using Ochema.Core.Rigs;
using Ochema.Data;

namespace Ochema.Core.Tests.Support;

/// <summary>Rigs to test with: what ships, and a plain one to vary.</summary>
internal static class RigFiles
{
    public static IEnumerable<(string Name, RigDocument Rig)> All =>
        RecipeLibrary.All.Select(r => (r.Id, r.Document)).Concat(DemoFilm.Rigs.Select(d => (d.Id, d.Document)));

    public static TheoryData<string> Names => [.. All.Select(r => r.Name)];

    public static RigDocument Named(string name) => All.First(r => r.Name == name).Rig;

    public static Site Panel(string site, string host = "estate") => Car.Sites(Car.Find(host)!).First(s => s.Id == site);

    /// <summary>What stands at a place of a written document, as "paths[0].reach".</summary>
    public static JsonNode Place(JsonNode document, string at) => at.Split('.', '[').Aggregate(document, (node, step) =>
        (step.EndsWith(']') ? node[int.Parse(step[..^1])] : node[step]) ?? throw new KeyNotFoundException(at));

    /// <summary>The same with its camera tied to the host, as a public way asks for.</summary>
    public static RigDocument Tied(RigDocument rig) => rig with
    {
        Tethers =
        [
            new Tether
            {
                Id = "tether",
                Stock = "lanyard-stretch",
                Slack = 0.06,
                To = rig.Site.Id is "bonnet" ? new("bonnet-gap", 0.5) : new("door-frame-left", 0.4),
            },
        ],
    };

    /// <summary>A cup with an arm on a bonnet of 0.75 mm steel: camera about 0.28 m above the panel.</summary>
    public static RigDocument CupAndArm(params (double S, double T)[] feet) => new()
    {
        Schema = RigDocument.CurrentSchema,
        Name = "cup and arm",
        Host = "estate",
        Site = Panel("bonnet"),
        At = [-0.1, 0],
        Base = new SingleCup { StemHeight = 0.03 },
        Paths =
        [
            new CameraPath
            {
                Id = CameraPath.FirstId,
                Reach = new ArticulatedArm { Length = 0.16, LowerLean = -0.3, UpperLean = 0.3 },
                Head = new StudHead(),
                Camera = new CameraChoice { Body = "compact", Lens = "built-in-24", Mass = 0.45, Pan = Math.PI },
            },
        ],
        Braces = [.. feet.Select((f, i) => new Strut { Id = $"strut-{i}", Site = "bonnet", At = [f.S, f.T],
            Foot = new Magnet { Stock = "magnet-88-rubber" } })],
        Run = new RunConditions { Speed = 80 / 3.6 },
    };

    /// <summary>A 300 mm plate on four holds with a camera of a given mass on a low head or a riser.</summary>
    public static RigDocument Plate(HoldKind hold, double mass = 2, double riser = 0, string site = "bonnet", double speed = 100 / 3.6) =>
        new()
        {
            Schema = RigDocument.CurrentSchema,
            Name = "plate",
            Host = "estate",
            Site = Panel(site),
            At = [0, 0],
            Base = new HoldPlate { Hold = hold, Count = 4 },
            Paths =
            [
                new CameraPath
                {
                    Id = CameraPath.FirstId,
                    Reach = riser > 0 ? new Riser { Height = riser, Section = "tube-al-50x3" } : new NoReach(),
                    Head = new FluidHead { Stock = mass > 4 ? "fluid-75" : "fluid-small" },
                    Camera = new CameraChoice { Body = "cine-small", Lens = "prime-24", Mass = mass },
                },
            ],
            Run = new RunConditions { Speed = speed },
        };
}
