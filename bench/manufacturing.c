/*
 * The same questions as bench/manufacturing.php, answered in C. Prints "account MS" and "rollup MS" for each run, and writes the
 * answers to account.c and rollup.c, so that they can be compared.
 *
 * Usage: manufacturing FOLDER DAY SIZE START ROUNDS, with
 *   account.txt   E key component quantity / M parent key component quantity takes_over ("-": of the item itself, or for nothing)
 *   edges.bin     parent, component, quantity, span as 64-bit integers, positions in topological order
 *   works.bin     cost, lead, labour, set-up, subcontract of each position; -1 in labour where nothing is done to it
 */
#include <stdint.h>
#include <stdio.h>
#include <stdlib.h>
#include <string.h>
#include <time.h>

typedef int64_t i64;
typedef struct { i64 parent, component, quantity, span; } Edge;
typedef struct { const char *parent, *key, *component, *takes; i64 quantity; int next; } Built;
typedef struct { const char *key, *component; i64 wanted, rest; } Wanted;
typedef struct { const char *name; int value; } Slot;

static double now(void) { struct timespec t; clock_gettime(CLOCK_MONOTONIC, &t); return t.tv_sec * 1e3 + t.tv_nsec / 1e6; }

static char *read_all(const char *folder, const char *name, i64 *size) {
    char path[4096];
    snprintf(path, sizeof path, "%s/%s", folder, name);
    FILE *f = fopen(path, "rb");
    if (!f) { perror(path); exit(1); }
    fseek(f, 0, SEEK_END);
    *size = ftell(f);
    rewind(f);
    char *data = malloc(*size + 1);
    if (fread(data, 1, *size, f) != (size_t)*size) exit(1);
    data[*size] = 0;
    fclose(f);
    return data;
}

static FILE *answer(const char *folder, const char *name) {
    char path[4096];
    snprintf(path, sizeof path, "%s/%s", folder, name);
    return fopen(path, "w");
}

/* Tables of names, as a program that is handed text has to have them. */
enum { TABLE = 1 << 19 };
static Slot *table_new(void) { return calloc(TABLE, sizeof(Slot)); }
static Slot *table_at(Slot *table, const char *name) {
    uint64_t h = 1469598103934665603ULL;
    for (const char *c = name; *c; c++) h = (h ^ (uint8_t)*c) * 1099511628211ULL;
    for (h &= TABLE - 1; table[h].name && strcmp(table[h].name, name); h = (h + 1) & (TABLE - 1));
    return &table[h];
}

static Built *built; static int builts; static Wanted *wanted; static int wanteds;
static Slot *by_key, *kits;

static void open_lines(int first, i64 times) {
    for (int i = first; i >= 0; i = built[i].next) {
        i64 quantity = (i64)((__int128)times * built[i].quantity / 1000000);
        Slot *kit = table_at(kits, built[i].component);
        if (kit->name) { open_lines(kit->value, quantity); continue; }
        Slot *line = table_at(by_key, built[i].takes);
        if (line->name && !strcmp(wanted[line->value].component, built[i].component)) wanted[line->value].rest -= quantity;
    }
}

static double account(void) {
    double started = now();
    by_key = table_new();
    kits = table_new();
    for (int i = 0; i < wanteds; i++) { Slot *s = table_at(by_key, wanted[i].key); s->name = wanted[i].key; s->value = i; wanted[i].rest = wanted[i].wanted; }
    int top = -1;
    for (int i = builts - 1; i >= 0; i--) {
        if (!strcmp(built[i].parent, "-")) { built[i].next = top; top = i; continue; }
        Slot *kit = table_at(kits, built[i].parent);
        built[i].next = kit->name ? kit->value : -1;
        kit->name = built[i].parent; kit->value = i;
    }
    open_lines(top, 1000000);
    double took = now() - started;
    free(by_key); free(kits);
    return took;
}

static i64 times(i64 one, i64 quantity) {
    __int128 product = (__int128)one * quantity;
    return (i64)((product + (product < 0 ? -500000 : 500000)) / 1000000);
}

int main(int argc, char **argv) {
    if (argc != 6) return 2;
    const char *folder = argv[1];
    i64 day = atoll(argv[2]), n = atoll(argv[3]), start = atoll(argv[4]), rounds = atoll(argv[5]), size;

    char *text = read_all(folder, "account.txt", &size);
    built = malloc(sizeof(Built) * 200000); wanted = malloc(sizeof(Wanted) * 200000);
    for (char *line = strtok(text, "\n"); line; line = strtok(NULL, "\n")) {
        char *cell[6]; int cells = 0;
        for (char *c = line; cells < 6;) { cell[cells++] = c; c = strchr(c, ' '); if (!c) break; *c++ = 0; }
        if (*cell[0] == 'E') wanted[wanteds++] = (Wanted){cell[1], cell[2], atoll(cell[3]), 0};
        else built[builts++] = (Built){cell[1], cell[2], cell[3], cell[5], atoll(cell[4]), -1};
    }
    for (i64 r = 0; r < rounds; r++) printf("account %.4f\n", account());
    FILE *f = answer(folder, "account.c");
    for (int i = 0; i < wanteds; i++) if (wanted[i].rest) fprintf(f, "%s %lld\n", wanted[i].key, (long long)wanted[i].rest);
    fclose(f);

    Edge *edges = (Edge *)read_all(folder, "edges.bin", &size);
    i64 m = size / sizeof(Edge), *at = calloc(n + 2, sizeof(i64));
    i64 (*works)[5] = (i64(*)[5])read_all(folder, "works.bin", &size);
    for (i64 e = 0; e < m; e++) at[edges[e].parent + 1]++;
    for (i64 p = 0; p < n; p++) at[p + 1] += at[p];
    i64 sum[5] = {0}, lead = 0, walked = 0;
    for (i64 r = 0; r < rounds; r++) {
        double started = now();
        i64 *total = calloc(n, sizeof(i64)), *longest = calloc(n, sizeof(i64)), last = start;
        char *reached = calloc(n, 1);
        memset(sum, 0, sizeof sum);
        walked = 0;
        total[start] = 1000000; reached[start] = 1;
        for (i64 p = start; p < n; p++) {
            if (!reached[p]) continue;
            last = p;
            for (i64 e = at[p]; e < at[p + 1]; e++) {
                if (!((edges[e].span >> 20 & 0xFFFFF) <= day && (edges[e].span & 0xFFFFF) > day)) continue;
                walked++;
                reached[edges[e].component] = 1;
                total[edges[e].component] += (i64)((__int128)total[p] * edges[e].quantity / 1000000);
            }
        }
        for (i64 p = last; p >= start; p--) {
            if (!reached[p]) continue;
            i64 below = 0, bottom = 1;
            for (i64 e = at[p]; e < at[p + 1]; e++) {
                if (!((edges[e].span >> 20 & 0xFFFFF) <= day && (edges[e].span & 0xFFFFF) > day)) continue;
                bottom = 0;
                if (longest[edges[e].component] > below) below = longest[edges[e].component];
            }
            longest[p] = works[p][1] + below;
            if (works[p][2] >= 0) for (int k = 2; k < 5; k++) sum[k] += times(works[p][k], total[p]);
            else if (bottom) sum[0] += times(works[p][0], total[p]);
        }
        lead = longest[start];
        printf("rollup %.4f\n", now() - started);
        free(total); free(longest); free(reached);
    }
    f = answer(folder, "rollup.c");
    fprintf(f, "%lld %lld %lld %lld %lld", (long long)sum[0], (long long)sum[2], (long long)sum[3], (long long)sum[4], (long long)lead);
    fclose(f);
    printf("walked %lld\n", (long long)walked);
    return 0;
}
