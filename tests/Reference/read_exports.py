"""Reads what is taken out with general libraries (gpxpy and geojson from Debian) and tells what it found as JSON.

    read_exports.py gpx|geojson|csv|dwca FILE

The Darwin Core reader follows meta.xml alone: which file, which column is which term, how fields and lines are parted.
"""
import csv
import io
import json
import sys
import xml.etree.ElementTree as ET
import zipfile

kind, path = sys.argv[1:3]
TEXT = "{http://rs.tdwg.org/dwc/text/}"


def sign(written):
    return written.replace("\\t", "\t").replace("\\n", "\n").replace("\\r", "\r")


def table(archive, part):
    name = part.find(f"{TEXT}files/{TEXT}location").text
    text = archive.read(name).decode(part.get("encoding"))
    quote = part.get("fieldsEnclosedBy")
    reader = csv.reader(
        io.StringIO(text, newline=""),
        delimiter=sign(part.get("fieldsTerminatedBy")),
        lineterminator=sign(part.get("linesTerminatedBy")),
        quoting=csv.QUOTE_MINIMAL if quote else csv.QUOTE_NONE,
    )
    rows = list(reader)[int(part.get("ignoreHeaderLines")) :]
    own = part.find(f"{TEXT}id") if part.find(f"{TEXT}id") is not None else part.find(f"{TEXT}coreid")
    terms = {int(f.get("index")): f.get("term") for f in part.findall(f"{TEXT}field")}
    return {
        "rowType": part.get("rowType"),
        "rows": [dict({terms[i]: row[i] for i in terms}, **{"": row[int(own.get("index"))]}) for row in rows],
    }


if kind == "gpx":
    import gpxpy

    with open(path, encoding="utf-8") as file:
        gpx = gpxpy.parse(file)
    out = [
        {"name": w.name, "type": w.type, "lat": w.latitude, "lon": w.longitude, "ele": w.elevation, "desc": w.description}
        for w in gpx.waypoints
    ]
elif kind == "geojson":
    import geojson

    with open(path, encoding="utf-8") as file:
        content = geojson.load(file)
    out = {
        "valid": content.is_valid,
        "errors": content.errors(),
        "features": [{"type": f.geometry.type, "properties": f.properties, "coordinates": f.geometry.coordinates} for f in content.features],
    }
elif kind == "csv":
    with open(path, encoding="utf-8", newline="") as file:
        out = list(csv.DictReader(file, strict=True))
else:
    with zipfile.ZipFile(path) as archive:
        assert archive.testzip() is None
        meta = ET.fromstring(archive.read("meta.xml"))
        core = table(archive, meta.find(f"{TEXT}core"))
        extensions = [table(archive, e) for e in meta.findall(f"{TEXT}extension")]
        ET.fromstring(archive.read(meta.get("metadata")))
    ids = {row[""] for row in core["rows"]}
    out = {
        "core": core,
        "extensions": extensions,
        "orphans": [row[""] for e in extensions for row in e["rows"] if row[""] not in ids],
        "ids": len(ids),
    }
json.dump(out, sys.stdout)
