"""Posterior of scikit-learn's CategoricalNB for a table of specimens; read and written as JSON.

Source: F. Pedregosa et al., Scikit-learn: Machine Learning in Python, JMLR 12 (2011) 2825-2830;
Debian's package python3-sklearn.
"""
import json
import sys

from sklearn.naive_bayes import CategoricalNB

table = json.load(sys.stdin)
model = CategoricalNB(alpha=table["alpha"], fit_prior=False, min_categories=table["categories"])
model.fit(table["specimens"], table["classes"])
print(json.dumps({"classes": [int(c) for c in model.classes_], "posterior": model.predict_proba(table["queries"]).tolist()}))
