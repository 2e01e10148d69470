"""Reads a calendar with another's reader: file → JSON, a list of {uid, summary, from, to} (Debian: python3-icalendar)."""

import json
import sys

from icalendar import Calendar

with open(sys.argv[1], "rb") as file:
    calendar = Calendar.from_ical(file.read())
assert calendar["VERSION"] == "2.0" and "PRODID" in calendar
print(
    json.dumps(
        [
            {
                "uid": str(e["UID"]),
                "summary": str(e["SUMMARY"]),
                "from": e["DTSTART"].dt.isoformat(),
                "to": e["DTEND"].dt.isoformat(),
                "stamp": e["DTSTAMP"].dt.isoformat(),
            }
            for e in calendar.walk("VEVENT")
        ]
    )
)
