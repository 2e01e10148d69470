"""The same deviations by scikit-learn's Gaussian process with a linear kernel: read as JSON from standard input
{"rows": [{"variable": weight, …}, …], "late": [days, …], "ask": [{…}, …], "variance": {"variable": days², …}, "rest": days²},
answered {"mean": […], "variance": […]}. (Debian: python3-sklearn)"""

import json
import sys

import numpy
from sklearn.gaussian_process import GaussianProcessRegressor
from sklearn.gaussian_process.kernels import DotProduct

given = json.load(sys.stdin)
names = list(given["variance"])


def scaled(rows):
    return numpy.array([[row.get(n, 0.0) * given["variance"][n] ** 0.5 for n in names] for row in rows])


process = GaussianProcessRegressor(
    kernel=DotProduct(sigma_0=0.0, sigma_0_bounds="fixed"), alpha=given["rest"], optimizer=None
).fit(scaled(given["rows"]), numpy.array(given["late"]))
mean, deviation = process.predict(scaled(given["ask"]), return_std=True)
json.dump({"mean": mean.tolist(), "variance": (deviation**2).tolist()}, sys.stdout)
