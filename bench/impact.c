/* The cut-in plan over arrays in memory, the same arithmetic as core/CutIn: netting of what is sold of each product, lot for
 * lot, then what each day of cutting in would cost for one pair. Reads the case from a file of 64-bit integers, prints
 * milliseconds a round, and writes the totals of all days. */
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
        int64_t *demand = calloc(days, 8), *net = malloc(days * 8);
        int64_t *p = in + 2;
        for (int64_t i = 0; i < products; i++) {
            int64_t each = p[0], hand = p[1], lead = p[2], rows = p[3];
            p += 4;
            memset(net, 0, days * 8);
            for (int64_t r = 0; r < rows; r++, p += 2) net[p[0]] -= p[1];
            int64_t available = hand;
            for (int64_t d = 0; d < days; d++) {
                available += net[d];
                if (available < 0) {
                    demand[d > lead ? d - lead : 0] += scale(-available, each, ONE);
                    available = 0;
                }
            }
        }
        /* the pair: stock, cost, disposal, expedite of the old; stock, cost, expedite, lead of the new; ratio; keep; receipts */
        int64_t ostock = p[0], ocost = p[1], odisp = p[2], oexp = p[3], nstock = p[4], ncost = p[5], nexp = p[6], nlead = p[7], ratio = p[8], keep = p[9], receipts = p[10];
        p += 11;
        int64_t *coming = calloc(days + 1, 8), *stuck = calloc(days + 1, 8), *fees = calloc(days + 1, 8), *wanted = calloc(days + 1, 8), *old = malloc(days * 8), *gone = malloc(days * 8);
        for (int64_t r = 0; r < receipts; r++, p += 3) {
            int64_t d = p[0] > days ? days : p[0];
            coming[d] += p[1];
            if (p[2] < 0) stuck[d] += p[1]; else fees[d] += p[2];
        }
        for (int64_t d = days - 1; d >= 0; d--) {
            stuck[d] += stuck[d + 1];
            fees[d] += fees[d + 1];
            wanted[d] = demand[d] + wanted[d + 1];
        }
        int64_t stock = ostock - keep, out = 0;
        for (int64_t d = 0; d < days; d++) {
            old[d] = stock;
            gone[d] = out;
            stock += coming[d];
            int64_t lacking = demand[d] - (stock > 0 ? stock : 0);
            if (lacking > 0) { out += lacking; if (stock > 0) stock = 0; }
            else stock -= demand[d];
        }
        int64_t more = scale(ncost, ratio, ONE) - ocost;
        for (int64_t d = 0; d < days; d++) {
            int64_t left = old[d] + stuck[d], none = 0, there = nstock;
            if (left < 0) left = 0;
            for (int64_t t = d; t < nlead && t < days; t++) {
                there -= scale(demand[t], ratio, ONE);
                if (there < 0) { none -= there; there = 0; }
            }
            total[d] = scale(odisp, left, ONE) + fees[d] + scale(oexp, gone[d], ONE) + scale(nexp, none, ONE) + scale(more, wanted[d], ONE);
        }
        printf("%f\n", now() - start);
        free(demand); free(net); free(coming); free(stuck); free(fees); free(wanted); free(old); free(gone);
    }
    f = fopen(argv[2], "wb");
    fwrite(total, 8, days, f);
    fclose(f);
    return 0;
}
