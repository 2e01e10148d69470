"""Categorical naive Bayes (scikit-learn) on the Soybean data, over the folds it is given.

Reads {"cases": [[value or -1 for a gap]], "classes": [int], "folds": [int], "values": [number of values per feature]}.
Two ways with gaps: left out, feature by feature; or taken as one more value. Uniform prior, Laplace's rule (alpha = 1).
Prints {"left_out": accuracy, "as_value": accuracy}.
"""

import json
import sys

import numpy as np
from sklearn.naive_bayes import CategoricalNB

asked = json.load(sys.stdin)
cases, classes, folds = (np.array(asked[k]) for k in ("cases", "classes", "folds"))
every = np.unique(classes)


def left_out(train, test):
    joint = np.zeros((test.sum(), len(every)))
    for feature, values in enumerate(asked["values"]):
        known = train & (cases[:, feature] >= 0)
        model = CategoricalNB(alpha=1.0, fit_prior=False, min_categories=values)
        model.partial_fit(cases[known][:, [feature]], classes[known], classes=every)
        seen = cases[test][:, feature]
        rows = seen >= 0
        joint[rows] += model.feature_log_prob_[0][:, seen[rows]].T
    return every[joint.argmax(axis=1)]


def as_value(train, test):
    values = np.array(asked["values"])
    filled = np.where(cases < 0, values, cases)
    model = CategoricalNB(alpha=1.0, fit_prior=False, min_categories=values + 1)
    model.fit(filled[train], classes[train])
    return model.predict(filled[test])


def accuracy(predict):
    right = 0
    for fold in np.unique(folds):
        test = folds == fold
        right += (predict(~test, test) == classes[test]).sum()
    return right / len(classes)


json.dump({"left_out": accuracy(left_out), "as_value": accuracy(as_value)}, sys.stdout)
