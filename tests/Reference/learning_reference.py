"""Quantiles of the beta distribution by SciPy and Brier scores by scikit-learn, for LearningTest.php; read and written as JSON."""

import json
import sys

from scipy.stats import beta
from sklearn.metrics import brier_score_loss

asked = json.load(sys.stdin)
json.dump({
    "quantiles": [float(beta.ppf(p, a, b)) for a, b, p in asked["quantiles"]],
    "brier": [float(brier_score_loss(right, stated)) for right, stated in asked["brier"]],
}, sys.stdout)
