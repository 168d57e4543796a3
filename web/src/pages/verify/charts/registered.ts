import {
  BarController,
  BarElement,
  CategoryScale,
  Chart,
  Legend,
  LinearScale,
  LineController,
  LineElement,
  PointElement,
  Tooltip,
} from 'chart.js';

/** What the charts of this room are made of; the rest of the package stays out of the bundle. */
Chart.register(
  ...[BarController, BarElement, CategoryScale, LinearScale],
  ...[LineController, LineElement, PointElement, Tooltip, Legend],
);
