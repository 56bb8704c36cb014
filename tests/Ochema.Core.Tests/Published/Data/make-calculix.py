#!/usr/bin/env python3
"""Makes calculix.json: five frames solved by CalculiX (Debian's calculix-ccx) as the reference for FrameSystem.

Run:  python3 make-calculix.py   (needs ccx on the PATH)

Each frame is written as a model document (SI) and as a CalculiX deck of quadratic beams of square bar (B32R, RECT, twenty elements a
member), which CalculiX expands to solids. Torsion is crude in those, so the loads stay in the frames' planes and only modes of
bending are stored.
"""
import json, math, os, re, subprocess, tempfile

E, NU, RHO = 210e9, 0.3, 7850.0
G = E / (2 * (1 + NU))
PER = 20


def square_section(d):
    return dict(A=d * d, Iy=d**4 / 12, Iz=d**4 / 12, J=0.1406 * d**4)


FRAMES = [
    dict(name="cantilever", nodes=[(0, 0, 0), (0.8, 0, 0)], members=[(0, 1, (0, 0, 1))], fixed=[0], loads={1: (0, 10, -20)}, out=[1], modes=[0, 1, 2, 3, 4, 5]),
    dict(name="bent arm", nodes=[(0, 0, 0), (0, 0, 0.7), (0.5, 0, 0.9)], members=[(0, 1, (1, 0, 0)), (1, 2, (0, 0, 1))],
         fixed=[0], loads={2: (15, 0, -20)}, out=[1, 2], modes=[1]),
    dict(name="portal", nodes=[(0, 0, 0), (0, 0, 1.2), (1.4, 0, 1.2), (1.4, 0, 0)], members=[(0, 1, (1, 0, 0)), (1, 2, (0, 0, 1)), (2, 3, (1, 0, 0))],
         fixed=[0, 3], loads={1: (10, 0, -2)}, out=[1, 2], modes=[1]),
    dict(name="tripod", nodes=[(0.5, 0, 0), (-0.25, 0.45, 0), (-0.25, -0.45, 0), (0, 0, 0.7)], members=[(i, 3, (0, 0, 1)) for i in range(3)],
         fixed=[0, 1, 2], loads={3: (200, 50, -100)}, out=[3], modes=[0, 1]),
    dict(name="propped mast: two unequal legs and a boom", nodes=[(0, 0, 0), (0.9, 0, 0), (0.3, 0, 0.9), (-0.3, 0, 1.2)],
         members=[(0, 2, (0, 1, 0)), (1, 2, (0, 1, 0)), (2, 3, (0, 1, 0))], fixed=[0, 1], loads={3: (5, 0, -30)}, out=[2, 3], modes=[1]),
]
SIDE = 0.006


def local_y(a, b, up):
    x = [b[i] - a[i] for i in range(3)]
    n = math.sqrt(sum(v * v for v in x))
    x = [v / n for v in x]
    d = sum(x[i] * up[i] for i in range(3))
    z = [up[i] - d * x[i] for i in range(3)]
    n = math.sqrt(sum(v * v for v in z))
    z = [v / n for v in z]
    return [z[1] * x[2] - z[2] * x[1], z[2] * x[0] - z[0] * x[2], z[0] * x[1] - z[1] * x[0]]


def deck(frame):
    pts, lines, sections, number = [list(map(float, p)) for p in frame["nodes"]], [], [], 1
    for m, (a, b, up) in enumerate(frame["members"]):
        chain = [a]
        for k in range(1, 2 * PER):
            pts.append([pts[a][i] + (pts[b][i] - pts[a][i]) * k / (2 * PER) for i in range(3)])
            chain.append(len(pts) - 1)
        chain.append(b)
        lines.append(f"*ELEMENT,TYPE=B32R,ELSET=M{m}")
        for k in range(0, 2 * PER, 2):
            lines.append(f"{number},{chain[k] + 1},{chain[k + 1] + 1},{chain[k + 2] + 1}")
            number += 1
        n1 = local_y(pts[a], pts[b], up)
        sections += [f"*BEAM SECTION,ELSET=M{m},MATERIAL=S,SECTION=RECT", f"{SIDE},{SIDE}", ",".join(f"{v:.9g}" for v in n1)]
    lines = ["*NODE"] + [f"{i + 1},{p[0]:.12g},{p[1]:.12g},{p[2]:.12g}" for i, p in enumerate(pts)] + lines
    lines += ["*MATERIAL,NAME=S", "*ELASTIC", f"{E},{NU}", "*DENSITY", f"{RHO}"] + sections
    lines += ["*BOUNDARY"] + [f"{n + 1},1,6" for n in frame["fixed"]] 
    lines += ["*NSET,NSET=OUT"] + [str(n + 1) for n in frame["out"]]
    lines += ["*STEP", "*STATIC", "*CLOAD"]
    for n, f in frame["loads"].items():
        lines += [f"{n + 1},{i + 1},{v}" for i, v in enumerate(f) if v]
    lines += ["*NODE PRINT,NSET=OUT", "U", "*END STEP", "*STEP", "*FREQUENCY", "6", "*END STEP"]
    return "\n".join(lines) + "\n"


def model(frame):
    pts = frame["nodes"]
    nodes, members = [dict(id=f"n{i}", x=p[0], y=p[1], z=p[2]) for i, p in enumerate(pts)], []
    for m, (a, b, up) in enumerate(frame["members"]):
        previous = f"n{a}"
        for k in range(1, PER + 1):
            if k == PER:
                here = f"n{b}"
            else:
                here = f"m{m}-{k}"
                q = [pts[a][i] + (pts[b][i] - pts[a][i]) * k / PER for i in range(3)]
                nodes.append(dict(id=here, x=q[0], y=q[1], z=q[2]))
            members.append(dict(id=f"m{m}.{k}", **{"from": previous, "to": here}, **square_section(SIDE), E=E, G=G, rho=RHO, up=list(up)))
            previous = here
    return dict(
        nodes=nodes, members=members, rigidLinks=[], lines=[], masses=[],
        springs=[dict(id=f"fix{n}", **{"from": f"n{n}"}, to=None, k=[1e12] * 3 + [1e10] * 3) for n in frame["fixed"]],
        cases=[dict(id="static", loads=[dict(node=f"n{n}", f=list(f)) for n, f in frame["loads"].items()], memberLoads=[])])


def run(text):
    with tempfile.TemporaryDirectory() as folder:
        with open(os.path.join(folder, "f.inp"), "w") as f:
            f.write(text)
        subprocess.run(["ccx", "f"], cwd=folder, check=True, stdout=subprocess.DEVNULL)
        return open(os.path.join(folder, "f.dat")).read()


def solve(frame):
    dat = run(deck(frame))
    u = {}
    for line in dat.split("displacements")[1].split("E I G E N")[0].splitlines():
        p = line.split()
        if len(p) == 4 and re.fullmatch(r"\d+", p[0]):
            u[f"n{int(p[0]) - 1}"] = [float(v) for v in p[1:]]
    rows = [line.split() for line in dat.split("E I G E N")[1].splitlines()]
    hertz = [float(r[3]) for r in rows if len(r) == 5 and re.fullmatch(r"\d+", r[0])]
    return dict(displacements=u, frequencies={str(i): hertz[i] for i in frame["modes"]})


if __name__ == "__main__":
    out = [dict(name=f["name"], model=model(f), calculix=solve(f)) for f in FRAMES]
    with open(os.path.join(os.path.dirname(os.path.abspath(__file__)), "calculix.json"), "w") as f:
        json.dump(out, f, separators=(",", ":"))
        f.write("\n")
    for o in out:
        print(o["name"], {k: [f"{x:.4e}" for x in v] for k, v in o["calculix"]["displacements"].items()}, o["calculix"]["frequencies"])
