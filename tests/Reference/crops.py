"""Amounts of crops by scikit-learn's Gaussian process with a linear kernel, and quantiles of the mixture by SciPy: read as JSON
from standard input {"rows": [{"variable": 1}, …], "logs": […], "noise": […], "ask": {…}, "variance": {…}, "rest": …, "mean": …,
"grades": [[chance, share], …], "none": chance, "normal": [deviations, …]}. (Debian: python3-sklearn)"""

import json
import sys

import numpy
from scipy.optimize import brentq
from scipy.stats import norm
from sklearn.gaussian_process import GaussianProcessRegressor
from sklearn.gaussian_process.kernels import DotProduct

given = json.load(sys.stdin)
names = list(given["variance"])


def scaled(rows):
    return numpy.array([[row.get(n, 0.0) * given["variance"][n] ** 0.5 for n in names] for row in rows])


process = GaussianProcessRegressor(
    kernel=DotProduct(sigma_0=0.0, sigma_0_bounds="fixed"), alpha=numpy.array(given["noise"]), optimizer=None
).fit(scaled(given["rows"]), numpy.array(given["logs"]) - given["mean"])
mean, deviation = process.predict(scaled([given["ask"]]), return_std=True)
middle = given["mean"] + float(mean[0])
spread = (float(deviation[0]) ** 2 + given["rest"]) ** 0.5


def below(log):
    return given["none"] + sum(c * norm.cdf((log - middle - numpy.log(s)) / spread) for c, s in given["grades"])


def quantile(p):
    return 0.0 if given["none"] >= p else float(numpy.exp(brentq(lambda x: below(x) - p, middle - 25, middle + 25, xtol=1e-12)))


json.dump({
    "mean": middle,
    "spread": spread,
    "quantiles": [quantile(p) for p in (0.1, 0.5, 0.9)],
    "normal": [float(norm.cdf(z)) for z in given["normal"]],
}, sys.stdout)
