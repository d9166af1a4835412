const KEY = 'etlo-theme';

const set = (night: boolean) => {
  document.documentElement.dataset.theme = night ? 'night' : 'day';
};

/** Day or night, kept for the next visit on this device. */
export const theme = {
  isNight: () => document.documentElement.dataset.theme === 'night',
  restore: () => set(localStorage.getItem(KEY) === 'night'),
  turn: () => {
    const night = !theme.isNight();
    set(night);
    localStorage.setItem(KEY, night ? 'night' : 'day');
    return night;
  },
};
