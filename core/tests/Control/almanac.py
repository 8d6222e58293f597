#!/usr/bin/env python3
"""Sunrise and sunset by another library (python3-ephem, VSOP87): upper limb, 34' of refraction. Prints core/tests/Control/almanac.json."""
import datetime
import json
import random

import ephem

draw = random.Random(17)
rows = []
for n in range(120):
    latitude = round(draw.uniform(-72, 72), 2)
    longitude = round(draw.uniform(-170, 170), 2)
    day = datetime.date(2026, 1, 1) + datetime.timedelta(days=draw.randrange(365))
    site = ephem.Observer()
    site.lat, site.lon, site.pressure, site.horizon = str(latitude), str(longitude), 0, '-0:34'
    # The site's own noon, by its longitude: the day's sunrise is the last before it, its sunset the next after it.
    noon = datetime.datetime(day.year, day.month, day.day, 12) - datetime.timedelta(hours=longitude / 15)
    site.date = noon
    sun = ephem.Sun()
    try:
        rise, set_ = site.previous_rising(sun).datetime(), site.next_setting(sun).datetime()
        start = datetime.datetime(day.year, day.month, day.day)
        row = [(t - start).total_seconds() / 60 for t in (rise, set_)]
        if min(row) < 0 or max(row) > 1440 or noon - rise > datetime.timedelta(hours=12.2) or set_ - noon > datetime.timedelta(hours=12.2):
            row = None
    except ephem.AlwaysUpError:
        row = 'up'
    except ephem.NeverUpError:
        row = 'down'
    if row is not None and (isinstance(row, str) or row[1] > row[0]):
        rows.append({'latitude': latitude, 'longitude': longitude, 'day': day.isoformat(), 'sun': row})
print(json.dumps(rows, indent=1))
