"""Reads "seconds,volts,amps" from standard input and appends it in batches; what was sent twice stands once.

HARMOZON=https://cars.example TOKEN='7|...' SESSION=01... python3 docs/logger.py < meter.csv
"""
import json, os, secrets, sys, time, urllib.error, urllib.request

LETTERS = "0123456789ABCDEFGHJKMNPQRSTVWXYZ"
url = f"{os.environ['HARMOZON']}/api/logger/sessions/{os.environ['SESSION']}/readings"
headers = {"Authorization": f"Bearer {os.environ['TOKEN']}", "Content-Type": "application/json", "Accept": "application/json"}


def send(readings):
    request = urllib.request.Request(url, json.dumps({"readings": readings}).encode(), headers)
    while True:
        try:
            return urllib.request.urlopen(request, timeout=30).read()
        except urllib.error.HTTPError as error:
            if error.code not in (429, 500, 502, 503):
                raise SystemExit(error.read().decode())
            time.sleep(int(error.headers.get("Retry-After") or 5))
        except OSError:
            time.sleep(5)


batch = []
for line in sys.stdin:
    seconds, volts, amps = map(float, line.split(","))
    client_id = "01" + "".join(secrets.choice(LETTERS) for _ in range(24))
    batch.append({"client_id": client_id, "t_s": seconds, "volts": volts, "amps": amps, "source": "logger"})
    if len(batch) == 1000:
        send(batch)
        batch = []
if batch:
    send(batch)
