/*
 * The same questions as bench/merging.php, and a component replaced wherever it is used, answered in C. Prints "merge MS" and "transfer
 * MS" for each run, and writes the answers to merge.c and carried.c, so that they can be compared. For the replacement it prints "seen MS
 * LINES" (found, and looked for loops) and "replaced MS LINES" (edits written).
 *
 * Usage: orders FOLDER ROUNDS, or orders FOLDER ROUNDS OLD NEW, with
 *   merge.txt     P (a parent begins) / B key quantity notes (its line) / N key quantity notes (as another order released it)
 *                 / E key field value (my edit, of quantity or notes), in their order
 *   carried.txt   H key find component quantity (a line where the edits were made) / D key quantity (it becomes; "-": it is taken out)
 *                 / S (a sibling begins) / L key find component quantity (its line)
 * Quantities are texts that are compared as they are written.
 *   uses.bin      int32 parent, component and quantity of every line, by parent; OLD and NEW are components
 */
#include <stdint.h>
#include <stdio.h>
#include <stdlib.h>
#include <string.h>
#include <time.h>

enum { TABLE = 1 << 13 };
static unsigned mask; /* of the tables in use: twice as many places as there are names */
typedef struct { const char *key, *value[2]; } Line;
typedef struct { const char *key, *value; int field; } Edit;
typedef struct { int base, bases, newer, newers, edit, edits; } Parent;
typedef struct { const char *key, *find, *component, *quantity; int next; } Part;
typedef struct { const char *key, *quantity; } Done;
typedef struct { const char *name; int at; } Slot;

static Line *lines; static int line_count; static Edit *edits; static int edit_count; static Parent *parents; static int parent_count;
static Part *parts; static int part_count; static Done *done; static int done_count; static int homes; static int siblings[64], sibling_count;

static double now(void) { struct timespec t; clock_gettime(CLOCK_MONOTONIC, &t); return t.tv_sec * 1e3 + t.tv_nsec / 1e6; }

static char *read_all(const char *folder, const char *name) {
    char path[4096];
    snprintf(path, sizeof path, "%s/%s", folder, name);
    FILE *f = fopen(path, "rb");
    if (!f) { perror(path); exit(1); }
    fseek(f, 0, SEEK_END);
    long size = ftell(f);
    rewind(f);
    char *data = malloc(size + 1);
    if (fread(data, 1, size, f) != (size_t)size) exit(1);
    data[size] = 0;
    fclose(f);
    return data;
}

static FILE *answer(const char *folder, const char *name) {
    char path[4096];
    snprintf(path, sizeof path, "%s/%s", folder, name);
    return fopen(path, "w");
}

static Slot *slot(Slot *table, const char *name) {
    uint64_t h = 1469598103934665603ULL;
    for (const char *c = name; *c; c++) h = (h ^ (uint8_t)*c) * 1099511628211ULL;
    for (h &= mask; table[h].name && strcmp(table[h].name, name); h = (h + 1) & mask);
    return &table[h];
}

static void sized(int names) { for (mask = 1; mask < (unsigned)names * 2; mask = mask * 2 + 1); }

/* My edits onto what was released meanwhile; in a conflict mine has its way, but nothing is done to a line that is gone. */
static double merge(FILE *out) {
    double started = now();
    static Slot table[TABLE];
    for (int p = 0; p < parent_count; p++) {
        Parent *of = &parents[p];
        sized(of->bases > of->newers ? of->bases : of->newers);
        memset(table, 0, (mask + 1) * sizeof(Slot));
        for (int i = 0; i < of->newers; i++) { Slot *s = slot(table, lines[of->newer + i].key); s->name = lines[of->newer + i].key; s->at = of->newer + i + 1; }
        static Slot base[TABLE];
        memset(base, 0, (mask + 1) * sizeof(Slot));
        for (int i = 0; i < of->bases; i++) { Slot *s = slot(base, lines[of->base + i].key); s->name = lines[of->base + i].key; s->at = of->base + i + 1; }
        int conflicts = 0;
        Line *merged = malloc(of->newers * sizeof(Line));
        memcpy(merged, &lines[of->newer], of->newers * sizeof(Line));
        /* What I did last to a field counts. */
        for (int i = of->edits - 1; i >= 0; i--) {
            Edit *e = &edits[of->edit + i];
            int later = 0;
            for (int j = i + 1; j < of->edits; j++) later |= edits[of->edit + j].field == e->field && !strcmp(edits[of->edit + j].key, e->key);
            if (later) continue;
            int there = slot(table, e->key)->at, was = slot(base, e->key)->at;
            if (!there) {
                int told = 0;
                for (int j = i + 1; j < of->edits; j++) told |= !strcmp(edits[of->edit + j].key, e->key);
                conflicts += !told;
                continue;
            }
            const char *theirs = lines[there - 1].value[e->field];
            if (strcmp(theirs, lines[was - 1].value[e->field]) && strcmp(theirs, e->value)) conflicts++;
            merged[there - 1 - of->newer].value[e->field] = e->value;
        }
        if (out) {
            fprintf(out, "parent %d\n", conflicts);
            for (int i = 0; i < of->newers; i++) fprintf(out, "%s %s %s\n", merged[i].key, merged[i].value[0], merged[i].value[1]);
        }
        free(merged);
    }
    return now() - started;
}

/* The counterpart is the line of the same identity and component, else the only one with the component, else the one of the same find. */
static double transfer(FILE *out) {
    double started = now();
    static Slot keys[TABLE], components[TABLE], home[TABLE];
    mask = TABLE - 1;
    memset(home, 0, sizeof home);
    for (int i = 0; i < homes; i++) { Slot *s = slot(home, parts[i].key); s->name = parts[i].key; s->at = i; }
    for (int s = 0; s < sibling_count; s++) {
        int first = siblings[s], last = s + 1 < sibling_count ? siblings[s + 1] : part_count;
        memset(keys, 0, sizeof keys);
        memset(components, 0, sizeof components);
        for (int i = last - 1; i >= first; i--) {
            Slot *k = slot(keys, parts[i].key); k->name = parts[i].key; k->at = i + 1;
            Slot *c = slot(components, parts[i].component); parts[i].next = c->name ? c->at : 0; c->name = parts[i].component; c->at = i + 1;
        }
        int fits = 0, differs = 0, none = 0, already = 0;
        for (int d = 0; d < done_count; d++) {
            Part *from = &parts[slot(home, done[d].key)->at], *to = NULL;
            int same = slot(keys, done[d].key)->at;
            if (same && !strcmp(parts[same - 1].component, from->component)) to = &parts[same - 1];
            int doubt = 0;
            if (!to) {
                int at = slot(components, from->component)->at;
                if (at && !parts[at - 1].next) to = &parts[at - 1];
                for (int i = at; at && !to && i; i = parts[i - 1].next) if (!strcmp(parts[i - 1].find, from->find)) to = &parts[i - 1];
                if (at && !to) { to = &parts[at - 1]; doubt = 1; }
            }
            int removed = !strcmp(done[d].quantity, "-");
            if (!to) { if (removed) already++; else none++; continue; }
            if (!removed && !strcmp(to->quantity, done[d].quantity)) { already++; continue; }
            if (doubt || strcmp(to->quantity, from->quantity)) differs++; else fits++;
        }
        if (out) fprintf(out, "sibling fits %d differs %d none %d already %d\n", fits, differs, none, already);
    }
    return now() - started;
}

typedef struct { int32_t parent, component, quantity; } Use;
typedef struct { int32_t parent, line, component, quantity; } Replaced;

static void below(const Use *uses, const int32_t *first, int32_t items, char *seen, int32_t from) {
    int32_t *stack = malloc(sizeof(int32_t) * (items + 1)), depth = 0;
    stack[depth++] = from;
    seen[from] = 1;
    while (depth) {
        int32_t at = stack[--depth];
        for (int32_t i = first[at]; i < first[at + 1]; i++)
            if (!seen[uses[i].component]) { seen[uses[i].component] = 1; stack[depth++] = uses[i].component; }
    }
    free(stack);
}

/* Every line of the component: found, unless the new part has the parent in it; then an edit for each. */
static void replace(const char *folder, int rounds, int32_t old, int32_t new) {
    char path[4096];
    snprintf(path, sizeof path, "%s/uses.bin", folder);
    FILE *f = fopen(path, "rb");
    if (!f) { perror(path); exit(1); }
    fseek(f, 0, SEEK_END);
    int32_t count = ftell(f) / sizeof(Use), items = new > old ? new : old;
    rewind(f);
    Use *uses = malloc(sizeof(Use) * count);
    if (fread(uses, sizeof(Use), count, f) != (size_t)count) exit(1);
    fclose(f);
    for (int32_t i = 0; i < count; i++) {
        if (uses[i].parent > items) items = uses[i].parent;
        if (uses[i].component > items) items = uses[i].component;
    }
    int32_t *first = calloc(items + 2, sizeof(int32_t)), *found = malloc(sizeof(int32_t) * count);
    for (int32_t i = 0; i < count; i++) first[uses[i].parent + 1]++;
    for (int32_t i = 0; i <= items; i++) first[i + 1] += first[i];
    Replaced *edits = malloc(sizeof(Replaced) * count);
    for (int round = 0; round < rounds; round++) {
        double started = now();
        char *seen = calloc(items + 1, 1);
        below(uses, first, items, seen, new);
        int32_t lines = 0;
        for (int32_t i = 0; i < count; i++)
            if (uses[i].component == old && !seen[uses[i].parent]) found[lines++] = i;
        printf("seen %.3f %d\n", now() - started, lines);
        started = now();
        for (int32_t i = 0; i < lines; i++) edits[i] = (Replaced){ uses[found[i]].parent, found[i], new, uses[found[i]].quantity };
        printf("replaced %.3f %d\n", now() - started, lines);
        free(seen);
    }
}

int main(int argc, char **argv) {
    if (argc == 5) { replace(argv[1], atoi(argv[2]), atoi(argv[3]), atoi(argv[4])); return 0; }
    if (argc != 3) return 1;
    lines = malloc(sizeof(Line) * 400000); edits = malloc(sizeof(Edit) * 100000); parents = malloc(sizeof(Parent) * 20000);
    parts = malloc(sizeof(Part) * 100000); done = malloc(sizeof(Done) * 10000);
    char *save, *row;
    for (row = strtok_r(read_all(argv[1], "merge.txt"), "\n", &save); row; row = strtok_r(NULL, "\n", &save)) {
        char *rest, kind = *strtok_r(row, " ", &rest);
        if (kind == 'P') { parents[parent_count++] = (Parent){ line_count, 0, 0, 0, edit_count, 0 }; continue; }
        Parent *of = &parents[parent_count - 1];
        char *key = strtok_r(NULL, " ", &rest), *one = strtok_r(NULL, " ", &rest), *two = strtok_r(NULL, " ", &rest);
        if (kind == 'E') { edits[edit_count++] = (Edit){ key, two, strcmp(one, "quantity") != 0 }; of->edits++; continue; }
        if (kind == 'N' && of->newers == 0) of->newer = line_count;
        lines[line_count++] = (Line){ key, { one, two } };
        if (kind == 'B') of->bases++; else of->newers++;
    }
    for (row = strtok_r(read_all(argv[1], "carried.txt"), "\n", &save); row; row = strtok_r(NULL, "\n", &save)) {
        char *rest, kind = *strtok_r(row, " ", &rest);
        if (kind == 'S') { siblings[sibling_count++] = part_count; continue; }
        char *key = strtok_r(NULL, " ", &rest), *two = strtok_r(NULL, " ", &rest);
        if (kind == 'D') { done[done_count++] = (Done){ key, two }; continue; }
        char *component = strtok_r(NULL, " ", &rest), *quantity = strtok_r(NULL, " ", &rest);
        parts[part_count++] = (Part){ key, two, component, quantity, 0 };
        if (kind == 'H') homes++;
    }
    for (int round = 0; round < atoi(argv[2]); round++) {
        printf("merge %.3f\n", merge(NULL));
        printf("transfer %.3f\n", transfer(NULL));
    }
    FILE *out = answer(argv[1], "merge.c");
    merge(out);
    fclose(out);
    out = answer(argv[1], "carried.c");
    transfer(out);
    fclose(out);
    return 0;
}
