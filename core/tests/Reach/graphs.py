"""Writes graphs.json: 200 seeded graphs with the nodes whose loss parts them, as networkx finds them.

python3 core/tests/Reach/graphs.py > core/tests/Reach/graphs.json
"""

import json
import random

import networkx as nx

graphs = []
for seed in range(200):
    draw = random.Random(seed)
    nodes = draw.randint(1, 24)
    share = draw.choice([0.05, 0.1, 0.15, 0.25])
    graph = nx.Graph()
    graph.add_nodes_from(range(nodes))
    graph.add_edges_from(
        (a, b) for a in range(nodes) for b in range(a + 1, nodes) if draw.random() < share
    )
    hops = nx.single_source_shortest_path_length(graph, 0)
    graphs.append(
        {
            "nodes": nodes,
            "edges": sorted(graph.edges),
            "cuts": sorted(nx.articulation_points(graph)),
            "hops": [hops.get(n) for n in range(nodes)],
        }
    )
print("[\n" + ",\n".join(json.dumps(g, separators=(",", ":")) for g in graphs) + "\n]")
