/* The cut-in plan over arrays in memory, the same arithmetic as core/CutIn: netting of what is sold of each product, lot for lot, to what
 * is wanted of the old part until the cut-in, by others, and of the new part from it on; then what each day of cutting in would cost. Reads
 * the case from a file of 64-bit integers, prints milliseconds a round, and writes the totals of all days. */
#include <stdint.h>
#include <stdio.h>
#include <stdlib.h>
#include <string.h>
#include <time.h>

#define ONE 1000000LL
static int64_t scale(int64_t a, int64_t b, int64_t c) {
    __int128 p = (__int128)a * b;
    __int128 half = c / 2;
    return (int64_t)(p >= 0 ? (p + half) / c : -((-p + half) / c));
}
static int64_t above(int64_t v) { return v > 0 ? v : 0; }
static int64_t below(int64_t v) { return v < 0 ? v : 0; }
static double now(void) {
    struct timespec t;
    clock_gettime(CLOCK_MONOTONIC, &t);
    return t.tv_sec * 1e3 + t.tv_nsec / 1e6;
}
int main(int argc, char **argv) {
    FILE *f = fopen(argv[1], "rb");
    fseek(f, 0, SEEK_END);
    long bytes = ftell(f);
    rewind(f);
    int64_t *in = malloc(bytes);
    if (fread(in, 1, bytes, f) != (size_t)bytes) return 1;
    fclose(f);
    int64_t days = in[0], products = in[1], rounds = argc > 3 ? atoi(argv[3]) : 11;
    int64_t *total = malloc(days * 8);
    for (int64_t round = 0; round < rounds; round++) {
        double start = now();
        int64_t *goes = calloc(days, 8), *others = calloc(days, 8), *comes = calloc(days, 8), *net = malloc(days * 8);
        int64_t *p = in + 2;
        for (int64_t i = 0; i < products; i++) {
            int64_t each = p[0], after = p[1], hand = p[2], lead = p[3], rows = p[4];
            p += 5;
            memset(net, 0, days * 8);
            for (int64_t r = 0; r < rows; r++, p += 2) net[p[0]] -= p[1];
            int64_t available = hand;
            for (int64_t d = 0; d < days; d++) {
                available += net[d];
                if (available < 0) {
                    /* what would have had to begin before today is on no day */
                    if (d >= lead) {
                        (after < 0 ? others : goes)[d - lead] += scale(-available, each, ONE);
                        if (after > 0) comes[d - lead] += scale(-available, after, ONE);
                    }
                    available = 0;
                }
            }
        }
        /* old: stock, value, penalty, lead; new: stock, penalty, day on which it can be there; kept of the old; receipts, the latest first */
        int64_t ostock = p[0], ovalue = p[1], open_ = p[2], olead = p[3], nstock = p[4], npen = p[5], nday = p[6], keep = p[7], receipts = p[8];
        int64_t *receipt = p + 9;
        int64_t *coming = calloc(days + 1, 8), *still = calloc(days + 1, 8), *wanted = calloc(days + 1, 8);
        int64_t *morning = malloc(days * 8), *evening = malloc(days * 8), *gone = malloc(days * 8);
        for (int64_t r = 0; r < receipts; r++) coming[receipt[3 * r]] += receipt[3 * r + 1];
        for (int64_t d = days - 1; d >= 0; d--) {
            still[d] = coming[d] + still[d + 1];
            wanted[d] = others[d] + wanted[d + 1];
        }
        int goeson = wanted[0] > 0;
        int64_t stock = ostock - keep, out = 0;
        for (int64_t d = 0; d < days; d++) {
            int64_t want = goes[d] + others[d];
            morning[d] = stock;
            gone[d] = out;
            stock += coming[d];
            int64_t lacking = want - above(stock);
            if (lacking > 0) {
                if (d < olead) out += lacking;
                stock = below(stock);
            } else stock -= want;
            evening[d] = stock;
        }
        int64_t *lowest = malloc(days * 8), least = INT64_MAX;
        for (int64_t d = days - 1; d >= 0; d--) {
            if (wanted[d + 1] - still[d + 1] < least) least = wanted[d + 1] - still[d + 1];
            lowest[d] = least;
        }
        for (int64_t d = 0; d < days; d++) {
            /* what others lack from the day on, until the old part can be reordered */
            int64_t missing = gone[d], free_ = morning[d];
            for (int64_t t = d; t < olead && t < days; t++) {
                free_ += coming[t];
                int64_t lacking = others[t] - above(free_);
                if (lacking > 0) { missing += lacking; free_ = below(free_); } else free_ -= others[t];
            }
            int64_t left = above(morning[d] + still[d] - (goeson ? wanted[d] + wanted[0] : 0)), fees = 0, can = left;
            int64_t day = d, level = morning[d] + still[d] - wanted[d];
            for (int64_t r = 0; r < receipts && left > 0; r++) {
                int64_t on = receipt[3 * r], quantity = receipt[3 * r + 1], fee = receipt[3 * r + 2];
                if (fee < 0 || fee > scale(ovalue, quantity, ONE)) continue;
                int64_t from = on > d ? on : d;
                if (goeson && from < days && level + lowest[from] < can) can = level + lowest[from];
                while (day > on && can > 0) { day--; if (evening[day] < can) can = evening[day]; }
                if (can <= 0) break;
                int64_t part = can < quantity ? can : quantity;
                fees += part == quantity ? fee : scale(fee, part, quantity);
                can -= part;
                left -= part;
            }
            int64_t none = 0, there = nstock;
            for (int64_t t = d; t < nday && t < days; t++) {
                there -= comes[t];
                if (there < 0) { none -= there; there = 0; }
            }
            total[d] = scale(ovalue, left, ONE) + fees + scale(open_, missing, ONE) + scale(npen, none, ONE);
        }
        printf("%f\n", now() - start);
        free(goes); free(others); free(comes); free(net); free(coming); free(still); free(wanted); free(morning); free(evening); free(gone); free(lowest);
    }
    f = fopen(argv[2], "wb");
    fwrite(total, 8, days, f);
    fclose(f);
    return 0;
}
