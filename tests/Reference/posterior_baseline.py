"""The posterior of bench-against-numpy.php by NumPy, and by scikit-learn's CategoricalNB with the same tables set by hand.

Reads {"table": [character][state][taxon, the last one being something else], "weights": [character]}; state 0 was seen
everywhere. Prints the median times in milliseconds and NumPy's posterior.
"""

import json
import sys
import time

import numpy as np
from sklearn.naive_bayes import CategoricalNB

asked = json.load(sys.stdin)
logs = [np.log(np.array(character)) for character in asked["table"]]
weights = np.array(asked["weights"])
taxa = logs[0].shape[1] - 1
prior = np.log(np.append(np.full(taxa, 0.9 / taxa), 0.1))
seen = np.zeros(len(logs), dtype=int)


def posterior():
    joint = prior + sum(w * table[s] for w, table, s in zip(weights, logs, seen))
    joint = np.exp(joint - joint.max())
    return joint / joint.sum()


model = CategoricalNB()
model.classes_ = np.arange(taxa + 1)
model.class_log_prior_ = prior
model.class_count_ = np.ones(taxa + 1)
model.n_features_in_ = len(logs)
model.feature_log_prob_ = [w * table.T for w, table in zip(weights, logs)]
model.min_categories = None
model.n_categories_ = np.array([table.shape[0] for table in logs])


def timed(work):
    times = []
    for _ in range(30):
        start = time.perf_counter()
        work()
        times.append((time.perf_counter() - start) * 1000)
    return sorted(times)[15]


assert np.allclose(model.predict_proba(seen.reshape(1, -1))[0], posterior(), atol=1e-9)
json.dump({"numpy": timed(posterior), "sklearn": timed(lambda: model.predict_proba(seen.reshape(1, -1))), "posterior": posterior().tolist()}, sys.stdout)
