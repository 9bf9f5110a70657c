"""Drives given cars in SUMO and says how the others took it. In: JSON on stdin; out: JSON on stdout.

{"ramp_m": length of the lane that joins, "step_s": 0.1, "ours": [[t_s, metres_from_its_beginning], ...], "joins_s": when we change lane,
 "others": [{"at_m": front bumper from the lane's beginning, "mps": speed}], "length_m": ours}
 -> {"hardest_mps2": of anybody behind us, "nearest_s": least time gap behind us once joined, "collisions": n}

{"brake": {"from_mps": .., "mps2": .., "stop_m": ..}} -> {"rows": [[metres_to_stop, mps], ...]}
"""
import json
import os
import subprocess
import sys
import tempfile

sys.path.append(os.path.join(os.environ.get("SUMO_HOME", "/usr/share/sumo"), "tools"))
import traci  # noqa: E402

BEFORE_M = 600.0
AFTER_M = 3000.0


def network(folder, lanes):
    nodes = f'<nodes><node id="a" x="0" y="0"/><node id="b" x="{BEFORE_M + AFTER_M}" y="0"/></nodes>'
    edges = f'<edges><edge id="road" from="a" to="b" numLanes="{lanes}" speed="70"/></edges>'
    for name, text in (("n", nodes), ("e", edges)):
        with open(os.path.join(folder, name + ".xml"), "w") as out:
            out.write(text)
    subprocess.run(
        ["netconvert", "-n", os.path.join(folder, "n.xml"), "-e", os.path.join(folder, "e.xml"), "-o", os.path.join(folder, "net.xml")],
        check=True, stdout=subprocess.DEVNULL, stderr=subprocess.DEVNULL,
    )


def start(folder, types, step):
    routes = os.path.join(folder, "r.xml")
    with open(routes, "w") as out:
        out.write(f'<routes>{types}<route id="on" edges="road"/></routes>')
    traci.start([
        "sumo", "-n", os.path.join(folder, "net.xml"), "-r", routes, "--step-length", str(step), "--step-method.ballistic", "true",
        "--collision.action", "warn", "--no-warnings", "--no-step-log", "--default.speeddev", "0",
    ])


TYPE = '<vType id="{id}" sigma="0" speedFactor="1" speedDev="0" length="{length}" minGap="2" tau="1" accel="1.5" decel="4.5" maxSpeed="{top}" {more}/>'


def join(asked):
    step = asked["step_s"]
    with tempfile.TemporaryDirectory() as folder:
        network(folder, 2)
        types = TYPE.format(id="ours", length=asked["length_m"], top=70, more="")
        for i, other in enumerate(asked["others"]):
            # An Intelligent Driver (Treiber and others, 2000) who wants to go on as fast as they come.
            types += TYPE.format(id=f"other{i}", length=4.5, top=other["mps"], more='carFollowModel="IDM"')
        start(folder, types, step)
        try:
            return watch(asked, step)
        finally:
            traci.close()


def watch(asked, step):
    for i, other in enumerate(asked["others"]):
        traci.vehicle.add(f"other{i}", "on", typeID=f"other{i}", departLane="1", departPos=str(BEFORE_M + other["at_m"]), departSpeed=str(other["mps"]))
    first = asked["ours"][0]
    speed = (asked["ours"][1][1] - first[1]) / (asked["ours"][1][0] - first[0])
    traci.vehicle.add("ours", "on", typeID="ours", departLane="0", departPos=str(BEFORE_M + first[1]), departSpeed=str(max(0.1, speed)))
    traci.simulationStep()
    for name in traci.vehicle.getIDList():
        # Nobody changes lane but we, and we as we are told.
        traci.vehicle.setLaneChangeMode(name, 0)
    traci.vehicle.setSpeedMode("ours", 0)
    hardest, nearest, joined, collisions = 0.0, None, False, 0
    last = asked["ours"][-1]
    end_speed = (last[1] - asked["ours"][-2][1]) / (last[0] - asked["ours"][-2][0])
    seconds = 0.0
    while seconds < asked["joins_s"] + 15.0:
        seconds += step
        at = place(asked["ours"], seconds, end_speed)
        before = place(asked["ours"], seconds - step, end_speed)
        traci.vehicle.setSpeed("ours", max(0.0, (at - before) / step))
        if not joined and seconds >= asked["joins_s"]:
            traci.vehicle.changeLane("ours", 1, 1000.0)
            joined = True
        traci.simulationStep()
        collisions += traci.simulation.getCollidingVehiclesNumber()
        if joined:
            ours = traci.vehicle.getLanePosition("ours")
            for name in traci.vehicle.getIDList():
                where = traci.vehicle.getLanePosition(name)
                if name == "ours" or where > ours:
                    continue
                hardest = max(hardest, -traci.vehicle.getAcceleration(name))
                moving = traci.vehicle.getSpeed(name)
                gap = (ours - asked["length_m"] - where) / max(0.1, moving)
                nearest = gap if nearest is None else min(nearest, gap)
    return {"hardest_mps2": hardest, "nearest_s": nearest, "collisions": collisions}


def place(rows, seconds, end_speed):
    if seconds >= rows[-1][0]:
        return rows[-1][1] + (seconds - rows[-1][0]) * end_speed
    for (t0, m0), (t1, m1) in zip(rows, rows[1:]):
        if seconds <= t1:
            return m0 + (m1 - m0) * max(0.0, seconds - t0) / (t1 - t0)
    return rows[-1][1]


def brake(asked):
    said = asked["brake"]
    with tempfile.TemporaryDirectory() as folder:
        network(folder, 1)
        start(folder, '<vType id="ours" sigma="0" speedFactor="1" speedDev="0" minGap="0" tau="0.05" decel="{0}" maxSpeed="{1}"/>'.format(
            said["mps2"], said["from_mps"]), 0.05)
        try:
            traci.vehicle.add("ours", "on", typeID="ours", departPos="10", departSpeed=str(said["from_mps"]))
            traci.simulationStep()
            traci.vehicle.setStop("ours", "road", pos=said["stop_m"], laneIndex=0, duration=100)
            rows = []
            for _ in range(4000):
                traci.simulationStep()
                rows.append([said["stop_m"] - traci.vehicle.getLanePosition("ours"), traci.vehicle.getSpeed("ours")])
                if rows[-1][1] <= 0.0:
                    break
            return {"rows": rows}
        finally:
            traci.close()


if __name__ == "__main__":
    # What traci and sumo print is none of the answer.
    real = os.dup(1)
    os.dup2(2, 1)
    asked = json.load(sys.stdin)
    said = [brake(one) if "brake" in one else join(one) for one in asked]
    os.write(real, json.dumps(said).encode())
