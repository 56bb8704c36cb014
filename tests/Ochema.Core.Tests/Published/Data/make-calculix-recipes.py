#!/usr/bin/env python3
"""Makes calculix-recipes.json: the structural models of some recipes with the frequencies that CalculiX (Debian's calculix-ccx) gives them.

Run:  python3 make-calculix-recipes.py   (needs ccx on the PATH and Debian's python3-numpy; builds Ochema)

The models come from `ochema model`. CalculiX gets quadratic beams of pipe section (B32R, four a member) with the member's area and
second moment; its pipes have J = Iy + Iz, so that is set in the stored model, too. What is rigid is a star of thick beams fifty times
as stiff as steel: stiffer ones drown soft springs in rounding. CalculiX has no springs against turning between such beams, so each is a
pair of springs along the axes at lever arms, whose push is taken off the springs along the axes. Inertia of a mass is spread over pairs
of points on its principal axes.
"""
import json, math, os, subprocess, tempfile

import numpy as np

HERE = os.path.dirname(os.path.abspath(__file__))
TOP = os.path.join(HERE, *[".."] * 4)
RECIPES = ["2-cup-and-arm-braced", "3-magnet-and-stud", "22-handlebar-clamp", "81-gear-rail-boom", "91-hand-pole"]
MODES = 6
LEVER = 0.08
PER = 4


def model_of(recipe):
    with open(os.path.join(TOP, "src/Ochema.Core/Rigs/Recipes", recipe + ".json")) as f:
        document = json.load(f)["document"]
    with tempfile.NamedTemporaryFile("w", suffix=".json") as f:
        json.dump(document, f)
        f.flush()
        text = subprocess.run([os.path.join(TOP, "ochema"), "model", f.name], check=True, capture_output=True, text=True).stdout
    m = json.loads(text)
    assert not m["lines"], recipe
    for member in m["members"]:
        assert abs(member["Iy"] - member["Iz"]) < 1e-9 * member["Iy"] and not member.get("releaseFrom") and not member.get("releaseTo"), (recipe, member["id"])
        member["J"] = member["Iy"] + member["Iz"]
    return {**{k: m[k] for k in ("nodes", "members", "rigidLinks", "springs", "lines", "masses")}, "cases": []}


class Deck:
    """A CalculiX deck in the making."""

    def __init__(self):
        self.nodes, self.beams, self.springs, self.masses = [], {}, [], []

    def node(self, p):
        self.nodes.append(np.array(p, float))
        return len(self.nodes)

    def beam(self, section, a, b, cuts):
        pa, pb, last = self.nodes[a - 1], self.nodes[b - 1], a
        for i in range(1, cuts + 1):
            middle = self.node(pa + (pb - pa) * (i - 0.5) / cuts)
            end = b if i == cuts else self.node(pa + (pb - pa) * i / cuts)
            self.beams.setdefault(section, []).append((last, middle, end))
            last = end

    def arm(self, a, offset):
        """A point fixed to a node by a rigid arm."""
        if np.linalg.norm(offset) < 1e-9:
            return a
        b = self.node(self.nodes[a - 1] + offset)
        self.beam("rigid", a, b, 1)
        return b

    def text(self):
        out, number = ["*NODE"] + [f"{i + 1},{p[0]:.12g},{p[1]:.12g},{p[2]:.12g}" for i, p in enumerate(self.nodes)], 0
        for s, (section, elements) in enumerate(self.beams.items()):
            # One set for each direction: a section's first axis must not lie along the beam.
            for a, m, b in elements:
                number += 1
                x = self.nodes[b - 1] - self.nodes[a - 1]
                n1 = np.cross(x, [0, 0, 1] if abs(x[2]) < 0.9 * np.linalg.norm(x) else [1, 0, 0])
                n1 /= np.linalg.norm(n1)
                out += [f"*ELEMENT,TYPE=B32R,ELSET=B{number}", f"{number},{a},{m},{b}"]
                if section == "rigid":
                    shape = "*BEAM SECTION,ELSET=B%d,MATERIAL=M%d,SECTION=RECT" % (number, s), "0.03,0.03"
                else:
                    area, inertia = section[:2]
                    outer = math.sqrt((4 * inertia / area + area / math.pi) / 2)
                    inner = math.sqrt(max(outer**2 - area / math.pi, (0.02 * outer) ** 2))
                    shape = "*BEAM SECTION,ELSET=B%d,MATERIAL=M%d,SECTION=PIPE" % (number, s), f"{outer:.9g},{outer - inner:.9g}"
                out += [*shape, ",".join(f"{v:.9g}" for v in n1)]
            modulus, poisson, density = (1e13, 0.3, 1e-3) if section == "rigid" else (section[2], section[2] / (2 * section[3]) - 1, section[4])
            out += [f"*MATERIAL,NAME=M{s}", "*ELASTIC", f"{modulus:.9g},{poisson:.9g}", "*DENSITY", f"{max(density, 1e-3):.9g}"]
        for a, b, dof, k in self.springs:
            number += 1
            out += [f"*ELEMENT,TYPE=SPRING{1 if b is None else 2},ELSET=K{number}", f"{number},{a}" + ("" if b is None else f",{b}"),
                    f"*SPRING,ELSET=K{number}", f"{dof}" + ("" if b is None else f",{dof}"), f"{k:.9e}"]
        for a, m in self.masses:
            number += 1
            out += [f"*ELEMENT,TYPE=MASS,ELSET=P{number}", f"{number},{a}", f"*MASS,ELSET=P{number}", f"{m:.9e}"]
        return "\n".join(out + ["*STEP", "*FREQUENCY", str(MODES), "*END STEP"]) + "\n"


def deck(model):
    d, at = Deck(), {n["id"]: np.array([n["x"], n["y"], n["z"]]) for n in model["nodes"]}
    group = {i: i for i in at}

    def head(i):
        while group[i] != i:
            i = group[i]
        return i

    for link in model["rigidLinks"]:
        group[head(link["to"])] = head(link["from"])
    number = {i: d.node(at[i]) for i in at if head(i) == i}
    for i in at:
        if i not in number:
            number[i] = d.arm(number[head(i)], at[i] - at[head(i)])
    for m in model["members"]:
        d.beam((m["A"], m["Iy"], m["E"], m["G"], m["rho"]), number[m["from"]], number[m["to"]], PER)
    levers = {}

    def lever(node, axis, sign):
        key = (node, axis, sign)
        if key not in levers:
            levers[key] = d.arm(number[node], sign * LEVER * np.eye(3)[axis])
        return levers[key]

    for s in model["springs"]:
        a, b, k = s["from"], s.get("to"), list(s["k"])
        for about in range(3):
            along, push = (about + 1) % 3, (about + 2) % 3
            half = k[3 + about] / (2 * LEVER**2)
            for sign in (1, -1):
                d.springs.append((lever(a, along, sign), None if b is None else lever(b, along, sign), push + 1, half))
            k[push] -= 2 * half
        for i in range(3):
            # Where turning is stiffer than pushing, what is left is negative; that is as it should be.
            d.springs.append((number[a], None if b is None else number[b], i + 1, k[i]))
    for m in model["masses"]:
        middle = d.arm(number[m["node"]], np.array(m.get("offset", [0, 0, 0])))
        inertia = m.get("I")
        if not inertia:
            d.masses.append((middle, m["m"]))
            continue
        xx, yy, zz, xy, xz, yz = inertia
        values, axes = np.linalg.eigh(np.array([[xx, xy, xz], [xy, yy, yz], [xz, yz, zz]]))
        spread = np.maximum(0, values.sum() / 2 - values)
        reach = math.sqrt(spread.sum() / m["m"])
        for i in range(3):
            for sign in (1, -1):
                d.masses.append((d.arm(middle, sign * reach * axes[:, i]), spread[i] / (2 * reach**2)))
    return d.text()


def frequencies(text):
    with tempfile.TemporaryDirectory() as folder:
        with open(os.path.join(folder, "f.inp"), "w") as f:
            f.write(text)
        subprocess.run(["ccx", "f"], cwd=folder, check=True, stdout=subprocess.DEVNULL)
        rows = [line.split() for line in open(os.path.join(folder, "f.dat")).read().split("E I G E N")[1].split("P A R T")[0].splitlines()]
    return [float(r[3]) for r in rows if len(r) == 5 and r[0].isdigit()]


if __name__ == "__main__":
    out = []
    for recipe in RECIPES:
        model = model_of(recipe)
        out.append(dict(name=recipe, model=model, frequencies=frequencies(deck(model))))
        print(recipe, out[-1]["frequencies"])
    with open(os.path.join(HERE, "calculix-recipes.json"), "w") as f:
        json.dump(out, f, separators=(",", ":"))
        f.write("\n")
