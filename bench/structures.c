/*
 * The same questions as bench/structures.php, answered in C over the same arrays in memory. Prints the milliseconds of each
 * run, and writes each answer to a file so that all answers can be compared.
 *
 * Usage: structures FOLDER DAY START... with edges.bin (parent, component, quantity, span), lines.bin (parent, component,
 * identity, digest, line, find, designators' hash) as 64-bit integers, positions in topological order.
 */
#include <stdint.h>
#include <stdio.h>
#include <stdlib.h>
#include <string.h>
#include <time.h>

typedef int64_t i64;
typedef struct { i64 parent, component, quantity, span; } Edge;
typedef struct { i64 parent, component, identity, digest, line, find, designators; } Line;

static i64 n, m, *down_at, *up_at, day;
static Edge *down, *up;
static Line *lines;

static double now(void) { struct timespec t; clock_gettime(CLOCK_MONOTONIC, &t); return t.tv_sec * 1e3 + t.tv_nsec / 1e6; }

static void *read_all(const char *folder, const char *name, i64 *size) {
    char path[4096];
    snprintf(path, sizeof path, "%s/%s", folder, name);
    FILE *f = fopen(path, "rb");
    if (!f) { perror(path); exit(1); }
    fseek(f, 0, SEEK_END);
    *size = ftell(f);
    rewind(f);
    void *data = malloc(*size + 1);
    if (fread(data, 1, *size, f) != (size_t)*size) exit(1);
    fclose(f);
    return data;
}

static void write_answer(const char *folder, int question, i64 *values, i64 count) {
    char path[4096];
    snprintf(path, sizeof path, "%s/answer-%d.bin", folder, question);
    FILE *f = fopen(path, "wb");
    fwrite(values, 8, count, f);
    fclose(f);
}

static int holds(i64 span) { return ((span >> 20) & 0xFFFFF) <= day && (span & 0xFFFFF) > day; }

/* Totals of one start: downward in rising positions, upward in falling ones. */
static i64 *flow(i64 start, int downward) {
    i64 *total = calloc(n, sizeof(i64));
    total[start] = 1000000;
    Edge *edges = downward ? down : up;
    i64 *at = downward ? down_at : up_at;
    for (i64 p = start; p >= 0 && p < n; p += downward ? 1 : -1) {
        if (total[p] == 0) continue;
        for (i64 e = at[p]; e < at[p + 1]; e++) {
            if (!holds(edges[e].span)) continue;
            i64 to = downward ? edges[e].component : edges[e].parent;
            total[to] += (i64)((__int128)total[p] * edges[e].quantity / 1000000);
        }
    }
    return total;
}

/* All levels of two structures: by identity, then by digest, then by find number. Pairs of lines that differ. */
static i64 compare(i64 a, i64 b, i64 *out) {
    i64 *stack = malloc(16 * n), top = 0, found = 0;
    enum { TABLE = 1 << 17 };
    i64 *table = malloc(sizeof(i64) * TABLE);
    char *left_done = malloc(m), *right_done = malloc(m);
    stack[top++] = a; stack[top++] = b;
    while (top > 0) {
        i64 rb = stack[--top], ra = stack[--top];
        i64 l0 = down_at[ra], l1 = down_at[ra + 1], r0 = down_at[rb], r1 = down_at[rb + 1];
        i64 size = 16;
        while (size < 2 * (l1 - l0)) size *= 2;
        for (i64 i = l0; i < l1; i++) left_done[i] = !holds(down[i].span);
        for (i64 i = r0; i < r1; i++) right_done[i] = !holds(down[i].span);
        for (int rule = 0; rule < 3; rule++) {
            memset(table, -1, sizeof(i64) * size);
            for (i64 i = l0; i < l1; i++) {
                if (left_done[i]) continue;
                i64 key = rule == 0 ? lines[i].identity : rule == 1 ? lines[i].digest : lines[i].find;
                i64 h = (i64)(((uint64_t)key * 0x9E3779B97F4A7C15u) >> 20) & (size - 1);
                while (table[h] >= 0) h = (h + 1) & (size - 1);
                table[h] = i;
            }
            for (i64 i = r0; i < r1; i++) {
                if (right_done[i]) continue;
                i64 key = rule == 0 ? lines[i].identity : rule == 1 ? lines[i].digest : lines[i].find;
                i64 h = (i64)(((uint64_t)key * 0x9E3779B97F4A7C15u) >> 20) & (size - 1);
                for (; table[h] >= 0; h = (h + 1) & (size - 1)) {
                    i64 j = table[h];
                    i64 other = rule == 0 ? lines[j].identity : rule == 1 ? lines[j].digest : lines[j].find;
                    if (left_done[j] || other != key) continue;
                    left_done[j] = right_done[i] = 1;
                    if (lines[j].digest != lines[i].digest) {
                        out[2 * found] = lines[j].line; out[2 * found + 1] = lines[i].line; found++;
                        if (lines[j].component != lines[i].component) { stack[top++] = lines[j].component; stack[top++] = lines[i].component; }
                    }
                    break;
                }
            }
        }
        for (i64 i = l0; i < l1; i++) if (!left_done[i]) { out[2 * found] = lines[i].line; out[2 * found + 1] = 0; found++; }
        for (i64 i = r0; i < r1; i++) if (!right_done[i]) { out[2 * found] = 0; out[2 * found + 1] = lines[i].line; found++; }
    }
    free(stack); free(table); free(left_done); free(right_done);
    return found;
}

int main(int argc, char **argv) {
    i64 size;
    Edge *edges = read_all(argv[1], "edges.bin", &size);
    m = size / sizeof(Edge);
    lines = read_all(argv[1], "lines.bin", &size);
    day = atoll(argv[2]);
    n = atoll(argv[3]);
    int rounds = atoi(argv[4]);
    down_at = calloc(n + 2, 8); up_at = calloc(n + 2, 8);
    down = edges; /* written in the order of parents */
    up = malloc(m * sizeof(Edge));
    for (i64 e = 0; e < m; e++) { down_at[edges[e].parent + 1]++; up_at[edges[e].component + 1]++; }
    for (i64 p = 0; p < n; p++) { down_at[p + 1] += down_at[p]; up_at[p + 1] += up_at[p]; }
    i64 *fill = malloc((n + 1) * 8);
    memcpy(fill, up_at, (n + 1) * 8);
    for (i64 e = 0; e < m; e++) up[fill[edges[e].component]++] = edges[e];
    /* Then one question an argument: d POSITION, u POSITION, or c POSITION,POSITION. */
    for (int q = 5; q < argc; q++) {
        for (int round = 0; round < rounds; round++) {
            double start = now();
            if (argv[q][0] == 'c') {
                char *comma;
                i64 a = strtoll(argv[q] + 1, &comma, 10), b = atoll(comma + 1);
                i64 *out = malloc(32 * m);
                i64 found = compare(a, b, out);
                printf("%d %.6f\n", q - 5, now() - start);
                if (round == 0) write_answer(argv[1], q - 5, out, 2 * found);
                free(out);
            } else {
                i64 *total = flow(atoll(argv[q] + 1), argv[q][0] == 'd');
                printf("%d %.6f\n", q - 5, now() - start);
                if (round == 0) write_answer(argv[1], q - 5, total, n);
                free(total);
            }
        }
    }
    return 0;
}
