"""Points in polygons, and how far it is to their edge, by Shapely on planes that PROJ lays at each point on the
ellipsoid of WGS 84; for PasturesTest.php; read and written as JSON."""

import json
import sys

from pyproj import CRS, Transformer
from shapely.geometry import Point, Polygon
from shapely.ops import transform

WGS84 = CRS.from_epsg(4326)
answers = []
for ring, points in json.load(sys.stdin):
    polygon = Polygon(ring)
    for longitude, latitude in points:
        plane = CRS.from_proj4(f"+proj=aeqd +lat_0={latitude} +lon_0={longitude} +datum=WGS84 +units=m")
        laid = transform(Transformer.from_crs(WGS84, plane, always_xy=True).transform, polygon)
        at = Point(0, 0)
        answers.append([bool(laid.contains(at)), laid.exterior.distance(at)])
json.dump(answers, sys.stdout)
