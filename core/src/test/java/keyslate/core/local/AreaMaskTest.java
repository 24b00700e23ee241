package keyslate.core.local;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.List;
import java.util.random.RandomGenerator;
import keyslate.core.Draws;
import keyslate.core.local.AreaShape.Edge;
import keyslate.core.local.AreaShape.Ellipse;
import keyslate.core.local.AreaShape.Lasso;
import keyslate.core.local.AreaShape.Point;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.MethodSource;

/** Weights of masks against distances measured another way: along an outline of many points. */
class AreaMaskTest {
    private static final int ALONG = 4000;

    /** Weight of the pixel in the middle of a view that is as small as a point. */
    private static double weightAt(AreaShape shape, double softEdge, double x, double y, double aspect) {
        double tiny = 1e-9;
        AreaMask.View view = new AreaMask.View(x - tiny / 2, y - tiny / 2, tiny, tiny, aspect);
        return AreaMask.rasterise(shape, softEdge, view, 1, 1)[0];
    }

    /** LOC-09 for a signed distance, negative inside. */
    private static double weight(double distance, double softEdge) {
        double u = Math.max(0, Math.min(1, 0.5 - distance / softEdge));
        return u * u * (3 - 2 * u);
    }

    @ParameterizedTest
    @CsvSource({"-0.05, 1", "-0.025, 0.84375", "0, 0.5", "0.025, 0.15625", "0.05, 0"})
    void acrossTheSoftEdgeTheWeightIsASmoothStep(double beyond, double weight) {
        Edge level = new Edge(new Point(0.1, 0.4), new Point(0.9, 0.4));
        assertThat(weightAt(level, 0.1, 0.5, 0.4 + beyond, 1)).isCloseTo(weight, within(1e-6));
        Edge upright = new Edge(new Point(0.4, 0.9), new Point(0.4, 0.1));
        assertThat(weightAt(upright, 0.1, 0.4 + beyond, 0.5, 1)).isCloseTo(weight, within(1e-6));
    }

    @Test
    void aTurnedEdgeIsMeasuredAtRightAnglesInTheFramesOwnShape() {
        // A frame of 3 : 2; in units of its width the edge runs 0.3 across and 0.4 down.
        Edge turned = new Edge(new Point(0.2, 0.1), new Point(0.5, 0.7));
        double away = 0.02;
        double x = 0.35 + away * -0.8;
        double y = (0.4 / 1.5 + away * 0.6) * 1.5;
        assertThat(weightAt(turned, 0.1, x, y, 1.5)).isCloseTo(weight(away, 0.1), within(1e-6));
        assertThat(weightAt(turned, 0.1, 0.35 + 0.016, (0.4 / 1.5 - 0.012) * 1.5, 1.5))
                .isCloseTo(weight(-away, 0.1), within(1e-6));
    }

    @Test
    void noEdgeIsSharperThanAHandCanHoldIt() {
        Edge level = new Edge(new Point(0, 0.5), new Point(1, 0.5));
        double quarter = AreaMask.NARROWEST_EDGE / 4;
        assertThat(weightAt(level, 0, 0.5, 0.5 + quarter, 1)).isCloseTo(0.15625, within(1e-6));
        assertThat(weightAt(level, 0.005, 0.5, 0.5 + quarter, 1)).isCloseTo(0.15625, within(1e-6));
    }

    @Test
    void theSoftEdgeIsAFractionOfTheLongerSide() {
        Edge level = new Edge(new Point(0, 0.5), new Point(1, 0.5));
        // Upright 2 : 3; the longer side is 1.5 widths, so an edge of 0.1 of it is 0.15 widths broad.
        double quarter = 0.15 / 4;
        assertThat(weightAt(level, 0.1, 0.5, 0.5 + quarter * 2 / 3, 2 / 3.0)).isCloseTo(0.15625, within(1e-6));
        // Lying 3 : 2; the longer side is the width itself.
        assertThat(weightAt(level, 0.1, 0.5, 0.5 + 0.025 * 1.5, 1.5)).isCloseTo(0.15625, within(1e-6));
    }

    @ParameterizedTest
    @MethodSource("keyslate.core.Draws#seeds")
    void aLassoWeighsByTheNearestPointOfItsOutline(long seed) {
        RandomGenerator random = Draws.from(seed);
        List<Point> corners = new ArrayList<>();
        for (int i = 0; i < 5; i++) {
            double turn = 2 * Math.PI * i / 5 + random.nextDouble(-0.4, 0.4);
            double far = random.nextDouble(0.15, 0.4);
            corners.add(new Point(0.5 + far * Math.cos(turn), 0.5 + far * Math.sin(turn)));
        }
        double aspect = random.nextDouble(0.7, 1.5);
        double x = random.nextDouble(0.1, 0.9);
        double y = random.nextDouble(0.1, 0.9);
        List<double[]> outline = new ArrayList<>();
        double turns = 0;
        for (int i = 0; i < corners.size(); i++) {
            Point a = corners.get(i);
            Point b = corners.get((i + 1) % corners.size());
            for (int k = 0; k < ALONG / 4; k++) {
                double t = k / (ALONG / 4.0);
                outline.add(new double[] {a.x() + t * (b.x() - a.x()), (a.y() + t * (b.y() - a.y())) / aspect});
            }
            double from = Math.atan2((a.y() - y) / aspect, a.x() - x);
            double to = Math.atan2((b.y() - y) / aspect, b.x() - x);
            turns += Math.IEEEremainder(to - from, 2 * Math.PI);
        }
        double distance = nearest(outline, x, y / aspect) * (Math.abs(turns) > Math.PI ? -1 : 1);
        double soft = 0.3;
        double edge = soft * Math.max(1, 1 / aspect);
        assertThat(weightAt(new Lasso(corners), soft, x, y, aspect)).isCloseTo(weight(distance, edge), within(2e-3));
    }

    @ParameterizedTest
    @MethodSource("keyslate.core.Draws#seeds")
    void anEllipseWeighsByTheNearestPointOfItsOutlineAcrossItsSoftEdge(long seed) {
        RandomGenerator random = Draws.from(seed);
        double aspect = random.nextDouble(0.7, 1.5);
        Ellipse ellipse = new Ellipse(
                new Point(random.nextDouble(0.4, 0.6), random.nextDouble(0.4, 0.6)),
                random.nextDouble(0.2, 0.4),
                random.nextDouble(0.2, 0.4));
        List<double[]> outline = new ArrayList<>();
        for (int k = 0; k < ALONG; k++) {
            double turn = 2 * Math.PI * k / ALONG;
            outline.add(new double[] {
                ellipse.centre().x() + ellipse.radiusX() * Math.cos(turn),
                (ellipse.centre().y() + ellipse.radiusY() * Math.sin(turn)) / aspect
            });
        }
        double turn = random.nextDouble(2 * Math.PI);
        double out = random.nextDouble(0.97, 1.03);
        double x = ellipse.centre().x() + out * ellipse.radiusX() * Math.cos(turn);
        double y = ellipse.centre().y() + out * ellipse.radiusY() * Math.sin(turn);
        double distance = nearest(outline, x, y / aspect) * Math.signum(out - 1);
        double soft = 0.05;
        double edge = soft * Math.max(1, 1 / aspect);
        assertThat(weightAt(ellipse, soft, x, y, aspect)).isCloseTo(weight(distance, edge), within(0.03));
    }

    @Test
    void theMiddleOfASmallEllipseIsAsDeepAsItsShorterRadius() {
        Ellipse small = new Ellipse(new Point(0.5, 0.5), 0.02, 0.01);
        assertThat(weightAt(small, 0.1, 0.5, 0.5, 1)).isCloseTo(weight(-0.01, 0.1), within(1e-6));
    }

    @Test
    void pixelsLieInTheMiddleOfTheirPartOfTheView() {
        Edge upright = new Edge(new Point(0.4, 0.9), new Point(0.4, 0.1));
        // Four columns over x = 0.2 to 0.6: their middles lie at 0.25, 0.35, 0.45, 0.55.
        float[] row = AreaMask.rasterise(upright, 0.2, new AreaMask.View(0.2, 0.3, 0.4, 0.2, 1), 4, 1);
        assertThat(row[1]).isCloseTo((float) weight(-0.05, 0.2), within(1e-6f));
        assertThat(row[2]).isCloseTo((float) weight(0.05, 0.2), within(1e-6f));
        Edge level = new Edge(new Point(0.1, 0.4), new Point(0.9, 0.4));
        float[] column = AreaMask.rasterise(level, 0.2, new AreaMask.View(0.3, 0.2, 0.2, 0.4, 1), 1, 4);
        assertThat(column[1]).isCloseTo((float) weight(-0.05, 0.2), within(1e-6f));
        assertThat(column[2]).isCloseTo((float) weight(0.05, 0.2), within(1e-6f));
    }

    private static double nearest(List<double[]> outline, double x, double y) {
        return outline.stream()
                .mapToDouble(p -> Math.hypot(p[0] - x, p[1] - y))
                .min()
                .orElseThrow();
    }
}
