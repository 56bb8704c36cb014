using Ochema.Core.Json;
using Ochema.Core.Structure;
using Ochema.Core.Tests.Support;

namespace Ochema.Core.Tests.Structure;

public class ReaderTests
{
    private const string Good = """
        {"nodes":[{"id":"a","x":0,"y":0,"z":0},{"id":"b","x":1,"y":0,"z":0}],
         "members":[{"id":"m","from":"a","to":"b","A":1e-4,"Iy":1e-9,"Iz":1e-9,"J":2e-9,"E":2e11,"G":8e10,"rho":7850,"up":[0,0,1]}],
         "rigidLinks":[],"springs":[{"id":"s","from":"a","to":null,"k":[1e9,1e9,1e9,1e9,1e9,1e9]}],
         "lines":[{"id":"l","from":"b","to":null,"anchor":[1,1,0],"EA":1000,"pretension":0}],"masses":[{"node":"b","m":1}],
         "cases":[{"id":"c","gravity":[0,0,-9.81],"loads":[],"memberLoads":[]}]}
        """;

    [Fact]
    public void TheContractsOwnNamesAreReadAndWritten()
    {
        var solved = ModelSolver.Solve(ModelDocumentReader.Read(Good));
        var json = StrictJson.Write(solved);
        foreach (var name in new[] { "\"A\":", "\"Iy\":", "\"J\":", "\"E\":", "\"EA\":", "\"rho\":", "\"to\":null", "\"springForces\":", "\"lineTensions\":", "\"frequency\":" })
            Assert.Contains(name, json);
        // What was written can be read and solved to the same again.
        Assert.Equal(json, StrictJson.Write(ModelSolver.Solve(ModelDocumentReader.Read(json))));
    }

    [Theory]
    [InlineData("\"E\":2e11", "\"E\":-2e11", "members[0].E")]
    [InlineData("\"E\":2e11", "\"E\":\"steel\"", "members[0].E")]
    [InlineData("\"from\":\"a\",\"to\":\"b\"", "\"from\":\"a\",\"to\":\"nowhere\"", "members[0].to")]
    [InlineData("\"up\":[0,0,1]", "\"up\":[1,0,0]", "members[0].up")]
    [InlineData("\"up\":[0,0,1]", "\"up\":[0,0]", "members[0].up")]
    [InlineData("\"anchor\":[1,1,0],", "", "lines[0].anchor")]
    [InlineData("\"id\":\"s\"", "\"id\":\"m\"", "springs[0].id")]
    [InlineData("\"k\":[1e9,", "\"k\":[1e999,", "springs[0].k[0]")]
    [InlineData("\"x\":1", "\"x\":0", "members[0]")]
    [InlineData("\"m\":1", "\"m\":-1", "masses[0].m")]
    [InlineData("\"rho\":7850", "\"rho\":7850,\"colour\":1", "members[0]")]
    public void WhatIsWrongIsNamedByPath(string good, string bad, string path)
    {
        Assert.Contains(good, Good);
        var e = Assert.Throws<DocumentException>(() => ModelDocumentReader.Read(Good.Replace(good, bad)));
        Assert.StartsWith(path, e.Path);
        Assert.NotEmpty(e.Reason);
    }

    [Fact]
    public void DenseAndSubspaceModesAgree()
    {
        // 20 elements (126 unknowns) go through subspace iteration; the dense solver is the check.
        var model = Frames.Cantilever(0.8, 0.012, 20, 0.4);
        var system = new FrameSystem(model);
        var k = system.Stiffness(_ => true, []);
        var (dense, _) = NaturalModes.Dense(k, system.Mass(_ => true), 8);
        var modes = ModelSolver.Solve(model).Modes!;
        for (var i = 0; i < 8; i++)
            Near.Share(Math.Sqrt(dense[i]) / (2 * Math.PI), modes[i].Frequency, 1e-6);
    }
}
