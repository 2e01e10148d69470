"""Kappa by scikit-learn and intervals of proportions by SciPy, for StatisticsTest.php; read and written as JSON."""

import json
import sys

from scipy.stats import beta, binomtest
from sklearn.metrics import cohen_kappa_score

asked = json.load(sys.stdin)


def intervals(events, trials):
    test = binomtest(events, trials)
    exact = test.proportion_ci(method="exact")
    wilson = test.proportion_ci(method="wilson")
    upper = 1.0 if events == trials else beta.ppf(0.95, events + 1, trials - events)
    return [exact.low, exact.high, wilson.low, wilson.high, float(upper)]


json.dump({
    "kappa": [cohen_kappa_score(one, other) for one, other in asked["pairs"]],
    "intervals": [intervals(*row) for row in asked["proportions"]],
}, sys.stdout)
