#!/usr/bin/env bash
# A private PostgreSQL cluster on loopback.
#   pg.sh start DIR   makes it when it is not there, starts it, prints PGPORT=n
#   pg.sh stop DIR
#   pg.sh schema DIR  prints the number of the newest migration in the database
#   pg.sh dump DIR    writes database "etlo" to standard output, without sessions
#   pg.sh load DIR    reads a dump from standard input into a database beside it, with no more rights than the product has
#   pg.sh swap DIR    puts the loaded database in the place of "etlo", or leaves everything as it was
# DIR/password holds the password of role and database "etlo". With ETLO_PG_THROWAWAY=1 (tests) nothing is synced to disk.
set -euo pipefail
cmd=${1:-} dir=${2:-}
fail() { echo "etlo: $*" >&2; exit 1; }
bin=$(ls -d /usr/lib/postgresql/*/bin 2>/dev/null | sort -V | tail -1 || true)
[ -x "${bin:-}/postgres" ] || fail 'PostgreSQL is not installed. Next: apt-get install -y postgresql'
[ -n "$dir" ] || fail 'usage: pg.sh start|stop|schema|dump|load|swap DIR'
# the server refuses to run as root; Debian's package brings the user postgres
as=(); owner=$(id -un)
if [ "$(id -u)" = 0 ]; then as=(runuser -u postgres --); owner=postgres; fi
export PGOPTIONS='-c client_min_messages=warning'
cd /
admin() { "${as[@]}" psql -q -v ON_ERROR_STOP=1 -h "$dir" -p "$("${as[@]}" sed -n 4p "$dir/data/postmaster.pid")" -U postgres "$@"; }
tool() { local t=$1; shift; "${as[@]}" "$bin/$t" -h "$dir" -p "$("${as[@]}" sed -n 4p "$dir/data/postmaster.pid")" -U postgres "$@"; }
running() { "${as[@]}" "$bin/pg_ctl" status -D "$dir/data" >/dev/null 2>&1; }
own_role() {
  admin -d postgres -c 'alter role etlo reset all' -c 'alter role etlo login' \
    -c "alter role etlo password '$(cat "$dir/password")'"
}
ready() { tool pg_isready -q -d postgres; }
case $cmd in
start)
  install -d -m 0700 -o "$owner" "$dir"
  [ "${#dir}" -le 80 ] || fail "the data folder's path is too long for a socket: $dir. Next: set ETLO_HOME to a shorter one."
  if [ -d "$dir/data" ] && [ ! -f "$dir/data/PG_VERSION" ]; then
    fail "the database in $dir/data is half-made. Next: move it away (mv $dir/data $dir/data.broken) and run this again."
  fi
  if [ ! -d "$dir/data" ]; then
    "${as[@]}" rm -rf "$dir/data.new"
    "${as[@]}" "$bin/initdb" -D "$dir/data.new" -U postgres -E UTF8 --locale=C.UTF-8 \
      --auth-local=peer --auth-host=scram-sha-256 ${ETLO_PG_THROWAWAY:+--no-sync} >"$dir/initdb.log" 2>&1 \
      || fail "the database could not be made, see $dir/initdb.log"
    if [ "$owner" != postgres ]; then
      printf 'local all all trust\nhost all all 127.0.0.1/32 scram-sha-256\n' >"$dir/data.new/pg_hba.conf"
    fi
    "${as[@]}" mv "$dir/data.new" "$dir/data"
  fi
  if [ ! -s "$dir/password" ]; then
    (umask 077; head -c 24 /dev/urandom | od -An -tx1 | tr -d ' \n' >"$dir/password")
  fi
  # killed a moment ago it still looks like running, and coming up after a crash it takes its time
  for _ in $(seq 1 300); do
    running || break
    ready && break
    sleep 0.2
  done
  if ! running; then
    options="-c listen_addresses=127.0.0.1 -c unix_socket_directories='$dir'"
    [ -z "${ETLO_PG_THROWAWAY:-}" ] || options="$options -c fsync=off -c synchronous_commit=off -c full_page_writes=off"
    # where it was last time, so that a server still running finds it again
    for port in $(cat "$dir/port" 2>/dev/null) $(shuf -n 6 -i 20000-29999); do
      if "${as[@]}" "$bin/pg_ctl" start -D "$dir/data" -w -t 60 -l "$dir/database.log" -o "$options -c port=$port" >/dev/null 2>&1; then
        break
      fi
    done
    running && ready || fail "the database does not start. Its own words: $("${as[@]}" tail -n 3 "$dir/database.log" 2>/dev/null | tr '\n' ' ') Next: see $dir/database.log."
  fi
  port=$("${as[@]}" sed -n 4p "$dir/data/postmaster.pid")
  [ "$(cat "$dir/port" 2>/dev/null)" = "$port" ] || echo "$port" >"$dir/port"
  if [ ! -f "$dir/ready" ]; then
    password=$(cat "$dir/password")
    "${as[@]}" psql -q -v ON_ERROR_STOP=1 -h "$dir" -p "$port" -U postgres -d postgres >/dev/null <<SQL
do \$\$ begin
  if not exists (select from pg_roles where rolname = 'etlo') then create role etlo login; end if;
end \$\$;
alter role etlo password '$password';
select 'create database etlo owner etlo' where not exists (select from pg_database where datname = 'etlo') \gexec
SQL
    touch "$dir/ready"
  fi
  echo "PGPORT=$port" ;;
schema)
  admin -At -d etlo -c "select max(version::int) from flyway_schema_history where success" ;;
dump)
  tool pg_dump -Fc --exclude-table-data=spring_session --exclude-table-data=spring_session_attributes etlo ;;
load)
  admin -d postgres -c 'drop database if exists etlo_loaded' -c 'create database etlo_loaded owner etlo'
  # a dump is a program: it runs as the product's own role over TCP, which can neither become another nor start anything
  loaded=yes
  PGPASSWORD=$(cat "$dir/password") "${as[@]}" "$bin/pg_restore" -h 127.0.0.1 -p "$("${as[@]}" sed -n 4p "$dir/data/postmaster.pid")" -U etlo --no-owner --no-privileges \
    --single-transaction --exit-on-error -d etlo_loaded || loaded=
  # what that role may change of itself is put back, whatever the dump said
  own_role
  [ -n "$loaded" ] || { admin -d postgres -c 'drop database etlo_loaded'; exit 1; } ;;
swap)
  # nobody may come back between being sent away and the change of names, another server least of all
  back() { admin -d postgres -c 'alter database etlo allow_connections true'; }
  admin -d postgres -c 'drop database if exists etlo_replaced' -c 'alter database etlo allow_connections false'
  swapped=
  for _ in $(seq 1 20); do
    admin -d postgres -c "select pg_terminate_backend(pid) from pg_stat_activity where datname in ('etlo', 'etlo_loaded')" >/dev/null
    # both names change hands in one transaction
    if admin -d postgres -c 'begin' -c 'alter database etlo rename to etlo_replaced' \
      -c 'alter database etlo_loaded rename to etlo' -c 'commit' 2>"$dir/swap.log"; then
      swapped=yes
      break
    fi
    sleep 0.2
  done
  if [ -z "$swapped" ]; then
    back
    cat "$dir/swap.log" >&2
    exit 1
  fi
  admin -d postgres -c 'drop database etlo_replaced' ;;
stop)
  running || exit 0
  "${as[@]}" "$bin/pg_ctl" stop -D "$dir/data" -m fast -w -t 60 >/dev/null ;;
*) fail 'usage: pg.sh start|stop|schema|dump|load|swap DIR' ;;
esac
